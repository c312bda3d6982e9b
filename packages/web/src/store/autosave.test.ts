import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { type Sequence, USUAL_PACING } from '@clay-pot/core';
import { OfflineError, ProblemError } from '../api/request.js';
import { Autosave, RETRY_AFTER_MS, SAVE_AFTER_MS } from './autosave.js';
import { switchAccount } from './device-storage.js';

const titled = (title: string): Sequence => ({ title, purpose: '', budgetMin: 10, pacing: USUAL_PACING, blocks: [] });
const STORED = { document: titled('Stored'), etag: '"1"' };
const THEIRS = { id: 's', etag: '"7"', updatedAt: '2026-05-04T08:00:00.000Z', document: titled('Theirs') };
const PROBLEM = (status: number, detail: string) =>
  new ProblemError({ type: 'urn:clay-pot:problem:database-away', title: '', status, detail } as never, null);
const staleWith = (current: typeof THEIRS) =>
  new ProblemError(
    { type: 'urn:clay-pot:problem:stale-edit', title: '', status: 412, detail: '', current, changes: [] } as never,
    current.etag,
  );
const STALE = staleWith(THEIRS);

let sent: [title: string, etag: string][];
/** What the server does with the next documents, one after the other; it takes them once nothing is told any more. */
let replies: (Error | (() => Promise<void>))[];
let shown: string[];

function open(): Autosave<Sequence> {
  const autosave = new Autosave('s', STORED, {
    put: async ({ title }, etag) => {
      sent.push([title, etag]);
      const reply = replies.shift();
      if (reply instanceof Error) throw reply;
      await reply?.();
      return { etag: `"${sent.length + 1}"` };
    },
    stored: () => undefined,
    show: ({ title }) => shown.push(title),
  });
  autosave.open();
  return autosave;
}
const kind = (autosave: Autosave<Sequence>) => autosave.state.getState().kind;
const pass = (ms: number) => jest.advanceTimersByTimeAsync(ms);

beforeEach(() => {
  jest.useFakeTimers();
  localStorage.clear();
  switchAccount('wren@hall.example');
  [sent, replies, shown] = [[], [], []];
});
afterEach(() => void jest.useRealTimers());

describe('what is edited', () => {
  test('is stored a moment after the last change, once, over the version it was made from', async () => {
    const autosave = open();
    for (const title of ['A', 'Ab', 'Abc']) {
      autosave.changed(titled(title));
      await pass(SAVE_AFTER_MS / 2);
    }
    expect([sent, kind(autosave)]).toEqual([[], 'unsaved']);
    await pass(SAVE_AFTER_MS);
    expect([sent, kind(autosave)]).toEqual([[['Abc', '"1"']], 'saved']);
    autosave.changed(titled('Abcd'));
    await pass(SAVE_AFTER_MS);
    expect(sent[1]).toEqual(['Abcd', '"2"']);
  });

  test('and changed while it is being sent goes after it, over the new version', async () => {
    const autosave = open();
    replies = [() => Promise.resolve(autosave.changed(titled('Second')))];
    autosave.changed(titled('First'));
    await pass(SAVE_AFTER_MS);
    expect(sent).toEqual([
      ['First', '"1"'],
      ['Second', '"2"'],
    ]);
    expect(kind(autosave)).toBe('saved');
  });

  test('waits for a network, and is sent when there is one', async () => {
    const autosave = open();
    replies = [new OfflineError(), new OfflineError()];
    autosave.changed(titled('Kept'));
    await pass(SAVE_AFTER_MS);
    expect(kind(autosave)).toBe('offline');
    await pass(2 * RETRY_AFTER_MS);
    expect([sent.length, kind(autosave)]).toEqual([3, 'saved']);
  });

  test('outlives a reload: what was not stored is opened again, and stored', async () => {
    const before = open();
    replies = [new OfflineError()];
    before.changed(titled('Unsaved'));
    before.close();
    await pass(10 * RETRY_AFTER_MS);
    expect(sent).toHaveLength(1);
    const after = open();
    expect(after.open().title).toBe('Unsaved');
    await pass(0);
    expect([sent.at(-1), kind(after)]).toEqual([['Unsaved', '"1"'], 'saved']);
    expect(open().open().title).toBe('Stored');
  });

  test('is sent again while the server can’t store it, and says why', async () => {
    const autosave = open();
    replies = [PROBLEM(507, 'The disk is full.'), PROBLEM(503, 'The database is away.')];
    autosave.changed(titled('Kept'));
    await pass(SAVE_AFTER_MS);
    expect(autosave.state.getState()).toEqual({ kind: 'waiting', reason: 'The disk is full.' });
    await pass(2 * RETRY_AFTER_MS);
    expect([sent.length, kind(autosave)]).toEqual([3, 'saved']);
  });

  test('is saved where only the answer was lost: nobody is asked about a conflict with themselves', async () => {
    const autosave = open();
    const mine = { ...THEIRS, document: titled('Mine') };
    replies = [new OfflineError(), staleWith(mine)];
    autosave.changed(mine.document);
    await pass(SAVE_AFTER_MS + RETRY_AFTER_MS);
    expect([kind(autosave), shown]).toEqual(['saved', []]);
    autosave.changed(titled('Mine, further'));
    await pass(SAVE_AFTER_MS);
    expect(sent.at(-1)).toEqual(['Mine, further', '"7"']);
  });

  test('is not sent again when the server refuses it, until it is changed', async () => {
    const autosave = open();
    replies = [new Error('No room.')];
    autosave.changed(titled('Refused'));
    await pass(10 * RETRY_AFTER_MS);
    expect(autosave.state.getState()).toEqual({ kind: 'refused', reason: 'No room.' });
    expect(sent).toHaveLength(1);
    autosave.changed(titled('Mended'));
    await pass(SAVE_AFTER_MS);
    expect(kind(autosave)).toBe('saved');
  });
});

describe('what was changed elsewhere', () => {
  async function stale(): Promise<Autosave<Sequence>> {
    const autosave = open();
    replies = [STALE];
    autosave.changed(titled('Mine'));
    await pass(SAVE_AFTER_MS);
    expect(kind(autosave)).toBe('stale');
    return autosave;
  }

  test('is not written over while nobody has decided, whatever is typed', async () => {
    const autosave = await stale();
    autosave.changed(titled('Mine, further'));
    await pass(10 * RETRY_AFTER_MS);
    expect(sent).toHaveLength(1);
  });

  test('gives way when mine is kept: what I have now goes over their version', async () => {
    const autosave = await stale();
    autosave.changed(titled('Mine, further'));
    autosave.settle('mine');
    await pass(0);
    expect([sent.at(-1), kind(autosave)]).toEqual([['Mine, further', '"7"'], 'saved']);
  });

  test('takes the place of mine when theirs is taken, and is the version that later edits are made from', async () => {
    const autosave = await stale();
    autosave.settle('theirs');
    expect([shown, kind(autosave)]).toEqual([['Theirs'], 'saved']);
    autosave.changed(titled('On theirs'));
    await pass(SAVE_AFTER_MS);
    expect(sent.at(-1)).toEqual(['On theirs', '"7"']);
  });
});
