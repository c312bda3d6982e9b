import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { BlockReportInput, ComplaintInput, DoneSetInput, faultsOfRequest, SessionEndInput, SessionInput } from '@clay-pot/contracts';
import { isOver, parseDose, plannedAgainstDone, type Sequence, USUAL_PACING } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { useOutbox } from './outbox.js';
import { forgetArrived, useOwnStops } from './own-stops.js';
import { usePlayhead } from './playhead.js';
import {
  addTime,
  allFine,
  ratingDueNow,
  beginRun,
  changeAhead,
  complain,
  correct,
  endRun,
  finishRun,
  goBack,
  rate,
  resumeRun,
  setsOfBlock,
  skipStint,
  skipWholeBlock,
  tick,
  ledTimeline,
  useRun,
} from './run.js';

const sequence: Sequence = {
  title: 'test',
  purpose: '',
  budgetMin: 10,
  pacing: { ...USUAL_PACING, readyS: 0 },
  blocks: (
    [
      ['a', 'prepare', 'free.open-close', 'fast', '1x20s'],
      ['b', 'load', 'grip.ball-squeeze', 'firm', '1x4 @50% 2s tempo1-1 L,R'],
      ['c', 'settle', 'free.bending-waves', 'arms-side', '1x3 tempo2-2 L/R'],
    ] as const
  ).map(([id, phase, movementId, levelId, dose]) => ({ id, phase, movementId, levelId, dose: parseDose(dose) })),
};
const run = () => useRun.getState().run!;
const messages = () => useOutbox.getState().messages;
const pathsOf = (part: string) => messages().filter(({ path }) => path.includes(part));
const runToTheEnd = () => tick(ledTimeline(run().sequence).durationMs + 60_000);

beforeEach(() => {
  // Nobody answers: messages stay in the outbox, where the tests read them.
  globalThis.fetch = jest.fn<typeof fetch>().mockRejectedValue(new TypeError('no network'));
  useOutbox.setState({ messages: [], refused: [] });
  useOwnStops.setState({ stops: [] });
  useRun.setState({ run: null });
  beginRun({
    athleteId: uuid(),
    athleteName: 'Test',
    cautions: [],
    equipment: ['soft ball'],
    sequenceId: uuid(),
    sequence,
  });
});

describe('a led session', () => {
  test('records each stint as it ends, alternating hands apart, and asks about each block once it is over', () => {
    tick(24_000);
    expect(run().sets).toHaveLength(0);
    tick(1_000);
    expect(run().sets).toMatchObject([{ blockId: 'a', side: 'both', unit: 'seconds', doneAmount: 20 }]);
    expect(run().toRate).toEqual(['a']);
    runToTheEnd();
    expect(run().sets.map(({ blockId, side, doneAmount }) => `${blockId} ${side} ${doneAmount}`)).toEqual([
      'a both 20',
      'b left 4',
      'b right 4',
      'c left 3',
      'c right 3',
    ]);
    expect(run().toRate).toEqual(['a', 'b', 'c']);
    expect(run().ended).toMatchObject({ ending: 'completed' });
  });

  test('is recorded in full: plan and done agree', () => {
    runToTheEnd();
    const rows = plannedAgainstDone(ledTimeline(sequence), run().sets);
    expect(rows.every((row) => row.doneAmount === row.plannedAmount)).toBe(true);
  });

  test('a rating is kept and sent, and the question goes', () => {
    tick(26_000);
    rate('a', { discomfort: 3, exertion: 6, note: 'warm' });
    expect(run().toRate).toEqual([]);
    expect(run().reports['a']).toMatchObject({ discomfort: 3, exertion: 6, note: 'warm' });
    expect(pathsOf('/reports/')).toHaveLength(1);
    runToTheEnd();
    expect(run().toRate).toEqual(['b', 'c']);
  });

  test('a block that was skipped without any work is not asked about', () => {
    skipWholeBlock();
    tick(3_000);
    expect(run().toRate).toEqual([]);
  });

  test('a correction is a row of its own and holds from then on; the same number again is none', () => {
    tick(26_000);
    const [set] = setsOfBlock(run(), 'a');
    correct(set!.id, 15);
    correct(set!.id, 20);
    expect(setsOfBlock(run(), 'a').map(({ doneAmount }) => doneAmount)).toEqual([15]);
    const [fixed] = setsOfBlock(run(), 'a');
    correct(fixed!.id, 10);
    expect(setsOfBlock(run(), 'a').map(({ doneAmount }) => doneAmount)).toEqual([10]);
    expect(run().sets).toHaveLength(3);
  });

  test('easing takes the current block a level down, begins its stint anew, and is what the next sets say', () => {
    skipWholeBlock();
    skipStint();
    skipStint();
    tick(3_000);
    const before = usePlayhead.getState().head;
    changeAhead([{ kind: 'change', blockId: 'b', levelId: 'soft' }]);
    expect(run().sequence.blocks[1]).toMatchObject({ id: 'b', levelId: 'soft', dose: sequence.blocks[1]!.dose });
    expect(run().head.elapsedMs).toBeLessThan(before.elapsedMs);
    runToTheEnd();
    expect(run().sets.find(({ blockId }) => blockId === 'b')).toMatchObject({ levelId: 'soft' });
  });

  test('what lies behind is not changed; what goes out in the middle is left as far as it went', () => {
    tick(15_000);
    changeAhead([{ kind: 'remove', blockId: 'a' }]);
    expect(run().sets).toMatchObject([{ blockId: 'a', doneAmount: 10 }]);
    expect(run().sequence.blocks.map(({ id }) => id)).toEqual(['a', 'b', 'c']);
    expect(ledTimeline(run().sequence).events[run().head.event]).toMatchObject({ blockId: 'b', kind: 'announce' });
    changeAhead([
      { kind: 'change', blockId: 'a', levelId: 'slow' },
      { kind: 'remove', blockId: 'b' },
    ]);
    expect(run().sequence.blocks.map(({ id, levelId }) => [id, levelId])).toEqual([
      ['a', 'fast'],
      ['c', 'arms-side'],
    ]);
    expect(ledTimeline(run().sequence).events[run().head.event]).toMatchObject({ blockId: 'c', kind: 'announce' });
    changeAhead([{ kind: 'remove', blockId: 'c' }]);
    expect(run().ended).toMatchObject({ ending: 'ended early' });
  });

  test('another movement that is taken on the spot is what the next sets say', () => {
    skipWholeBlock();
    const dose = parseDose('1x3 tempo1-1');
    changeAhead([{ kind: 'change', blockId: 'b', movementId: 'free.bending-waves', levelId: 'arms-side', dose }]);
    runToTheEnd();
    const done = run().sets.filter(({ blockId }) => blockId === 'b');
    expect(done).toMatchObject([{ movementId: 'free.bending-waves', levelId: 'arms-side', doneAmount: 3 }]);
  });

  test('the question about a block goes after half a minute, and waits among those not told of', () => {
    const endOfA = ledTimeline(run().sequence).blocks[0]!.endMs;
    tick(endOfA + 1_000);
    expect(ratingDueNow(run(), usePlayhead.getState())).toBe('a');
    tick(28_000);
    expect(ratingDueNow(run(), usePlayhead.getState())).toBe('a');
    tick(1_500);
    expect(ratingDueNow(run(), usePlayhead.getState())).toBeUndefined();
    expect(run().toRate).toEqual(['a']);
    allFine(run().toRate);
    expect(run().toRate).toEqual([]);
    expect(pathsOf('/reports/')).toMatchObject([{ body: { blockId: 'a', discomfort: 0, exertion: null } }]);
  });

  test('added time counts, and going back repeats without losing what was recorded', () => {
    tick(10_000);
    addTime(10);
    tick(25_000);
    expect(run().sets[0]!.doneAmount).toBe(30);
    goBack();
    tick(20_000);
    expect(run().sets.filter(({ blockId }) => blockId === 'a')).toHaveLength(2);
  });
});

describe('endings', () => {
  test('ended early: what was begun is kept, it can be gone on with, and then it is not ended', () => {
    tick(15_000);
    endRun('ended early');
    expect(run().sets).toMatchObject([{ blockId: 'a', doneAmount: 10 }]);
    expect(run().toRate).toEqual(['a']);
    resumeRun();
    expect(run().ended).toBeNull();
    expect(run().paused).toBe(true);
    expect(isOver(ledTimeline(run().sequence), run().head)).toBe(false);
  });

  test('ended before any work: nothing is recorded as done', () => {
    tick(2_000);
    endRun('ended early');
    expect(run().sets).toEqual([]);
  });

  test('a stop stays a stop', () => {
    tick(15_000);
    endRun('stopped', { sign: 'numbness', hand: 'left' });
    resumeRun();
    expect(run().ended).toMatchObject({ ending: 'stopped', stopSign: 'numbness', stopHand: 'left' });
  });

  test('a stop stands for that person from this moment on, whether or not anybody answers', () => {
    tick(15_000);
    const { id, athleteId } = run();
    endRun('stopped', { sign: 'numbness', hand: 'left' });
    const caution = { caution: 'stop-sign', hand: 'left', stopped: { sessionId: id, sign: 'numbness' } };
    expect(useOwnStops.getState().stops).toMatchObject([{ athleteId, caution }]);
    forgetArrived(athleteId, []);
    expect(useOwnStops.getState().stops).toHaveLength(1);
    forgetArrived(athleteId, [useOwnStops.getState().stops[0]!.caution]);
    expect(useOwnStops.getState().stops).toEqual([]);
  });

  test('the record is handed over once, with its note, and the player is clear', () => {
    expect(finishRun('too soon')).toBeNull();
    runToTheEnd();
    const { id } = run();
    expect(finishRun('well done')).toBe(id);
    expect(useRun.getState().run).toBeNull();
    expect(finishRun('again')).toBeNull();
    expect(pathsOf('/end')).toMatchObject([{ body: { ending: 'completed', note: 'well done' } }]);
  });
});

test('every message keeps the server’s own rules, in an order in which each finds what it names', () => {
  tick(26_000);
  rate('a', { discomfort: 5, exertion: 5, note: '' });
  correct(run().sets[0]!.id, 12);
  changeAhead([{ kind: 'change', blockId: 'b', levelId: 'soft' }]);
  complain({ hand: 'left', place: 'palm', discomfort: 3 }, { ageYears: 30, sex: 'not stated' });
  allFine(['b']);
  tick(40_000);
  skipStint();
  endRun('stopped', { sign: 'sharp', hand: 'both' });
  finishRun('', 6);
  const seen = new Set<string>();
  for (const { path, body } of messages()) {
    const shape = path.endsWith('/end')
      ? SessionEndInput
      : path.includes('/sets/')
        ? DoneSetInput
        : path.includes('/reports/')
          ? BlockReportInput
          : path.includes('/complaints/')
            ? ComplaintInput
            : SessionInput;
    const sent = JSON.parse(JSON.stringify(body)) as Partial<DoneSetInput>;
    expect(faultsOfRequest(shape, sent)).toEqual([]);
    const { corrects } = sent;
    if (corrects) expect(seen).toContain(corrects);
    seen.add(path.split('/').at(-1)!);
  }
  expect(messages()[0]!.path).toMatch(/^\/sessions\/[0-9a-f-]{36}$/);
  expect(messages().at(-1)!.path).toMatch(/\/end$/);
});
