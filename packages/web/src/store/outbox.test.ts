import 'fake-indexeddb/auto';
import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { switchAccount } from './device-storage.js';
import { useKeeping } from './keeping.js';
import { rememberMe } from './me.js';
import { dropUnsent, flush, startOutbox, useOutbox } from './outbox.js';
import { dropRows, keepRows, rowsOf } from './outbox-rows.js';

// It puts itself into the window, which is a thing of its own here.
Object.assign(
  globalThis,
  Object.fromEntries(
    Object.getOwnPropertyNames(window).flatMap((name) => (/^(IDB|indexedDB)/.test(name) ? [[name, window[name as never]]] : [])),
  ),
);

type Reply = 'away' | number;
let replies: Reply[];
let addresses: string[];

/** A server that answers as told, and with 204 once nothing is told any more. */
function serve(): void {
  globalThis.fetch = jest.fn<typeof fetch>().mockImplementation(async (input) => {
    const path = String(input).replace('/api', '');
    if (!/^\/(sessions|athletes\/[^/]+\/suggestions)/.test(path))
      return new Response('{}', { headers: { 'content-type': 'application/json' } });
    addresses.push(path);
    const reply = replies.shift() ?? 204;
    if (reply === 'away') throw new TypeError('no network');
    if (reply === 204) return new Response(null, { status: 204 });
    const name = { 401: 'sign-in-needed', 429: 'too-many-tries' }[reply] ?? 'invalid';
    const problem = { type: `urn:clay-pot:problem:${name}`, title: '', status: reply, detail: `refused with ${reply}` };
    return new Response(JSON.stringify(problem), {
      status: reply,
      headers: { 'content-type': 'application/problem+json' },
    });
  });
}

const [WREN, OTHER] = ['wren@hall.example', 'sorrel@hall.example'];
const signIn = (email: string) =>
  rememberMe({
    name: email,
    email,
    studio: { name: 'A hall', timeZone: 'Europe/Berlin', isDemo: false },
    units: { mass: 'kg', length: 'cm' },
  });
/** Has another tab of an account keep something. */
const keep = (account: string, ...names: string[]) =>
  keepRows(
    'outbox',
    names.map((name) => ({ account, id: name, path: `/sessions/${name}`, body: { name } })),
  );
const waiting = () => useOutbox.getState().messages.map(({ path }) => path);
const keptFor = async (account: string) => (await rowsOf('outbox', account)).map(({ message }) => message.path);
/** Lets what was begun come to its end. */
const settled = () => new Promise((resolve) => setTimeout(resolve, 40));
/** Waits for a state, however busy the machine is. */
async function until(isSo: () => boolean | Promise<boolean>): Promise<void> {
  const end = Date.now() + 5000;
  while (!(await isSo()) && Date.now() < end) await settled();
}

jest.spyOn(globalThis, 'setInterval').mockReturnValue(0 as never);
const channels: BroadcastChannel[] = [];
globalThis.BroadcastChannel = class extends EventTarget {
  onmessage: (() => void) | null = null;
  constructor() {
    super();
    channels.push(this as never);
  }
  postMessage() {}
} as never;
startOutbox();

beforeEach(async () => {
  switchAccount(null);
  replies = [];
  addresses = [];
  serve();
  localStorage.clear();
  await Promise.all([WREN, OTHER].flatMap((account) => [dropRows('outbox', account), dropRows('refused', account)]));
  useKeeping.setState({ trouble: null });
  signIn(WREN);
  // What signing in begins is over before a test begins.
  await flush();
  await settled();
  addresses = [];
});

describe('the outbox', () => {
  test('sends in order, one after the other, what any tab has kept', async () => {
    await keep(WREN, 'a', 'b', 'c');
    await flush();
    expect(addresses).toEqual(['/sessions/a', '/sessions/b', '/sessions/c']);
    expect([waiting(), await keptFor(WREN)]).toEqual([[], []]);
  });

  test.each<[string, Reply]>([
    ['nobody answers', 'away'],
    ['the server stumbles', 503],
    ['one is signed out', 401],
    ['it was too much at once', 429],
  ])('keeps everything from the first message on when %s, and goes on later from there', async (_what, reply) => {
    await keep(WREN, 'a', 'b', 'c');
    replies = [204, reply];
    await flush();
    expect(await keptFor(WREN)).toEqual(['/sessions/b', '/sessions/c']);
    await flush();
    expect(addresses).toEqual(['/sessions/a', '/sessions/b', '/sessions/b', '/sessions/c']);
    expect(await keptFor(WREN)).toEqual([]);
    expect(useOutbox.getState().refused).toEqual([]);
  });

  test('a message that is refused for good is set aside with the reason, outlives the page, and the next ones go', async () => {
    await keep(WREN, 'a', 'b');
    replies = [422];
    await flush();
    expect(await keptFor(WREN)).toEqual([]);
    switchAccount(null);
    signIn(WREN);
    await until(() => useOutbox.getState().refused.length > 0);
    expect(useOutbox.getState().refused).toMatchObject([{ path: '/sessions/a', reason: 'refused with 422' }]);
    useOutbox.getState().dismiss();
    await until(async () => (await rowsOf('refused', WREN)).length === 0);
    expect([useOutbox.getState().refused, await rowsOf('refused', WREN)]).toEqual([[], []]);
  });

  test('two calls at once send nothing twice', async () => {
    await keep(WREN, 'a', 'b');
    await Promise.all([flush(), flush(), flush()]);
    expect(addresses).toEqual(['/sessions/a', '/sessions/b']);
  });

  test('whoever calls while something is being sent waits until all of it is', async () => {
    await keep(WREN, 'a', 'b', 'c');
    void flush();
    await flush();
    expect(await keptFor(WREN)).toEqual([]);
  });

  test('what is added is shown at once, kept, and sent last', async () => {
    await keep(WREN, 'a');
    const sending = flush();
    useOutbox.getState().add({ path: '/sessions/late', body: {} });
    expect(waiting()).toContain('/sessions/late');
    await sending;
    await until(() => addresses.length === 2 && waiting().length === 0);
    expect(addresses).toEqual(['/sessions/a', '/sessions/late']);
    expect(waiting()).toEqual([]);
  });

  test('messages outlive the page', async () => {
    replies = ['away'];
    useOutbox.getState().add({ path: '/sessions/kept', body: { amount: 8 } });
    await until(() => addresses.length === 1);
    await settled();
    switchAccount(null);
    expect(waiting()).toEqual([]);
    signIn(WREN);
    await until(() => addresses.length === 2);
    expect(addresses).toEqual(['/sessions/kept', '/sessions/kept']);
  });

  test('what another tab adds or has sent is seen here', async () => {
    replies = ['away'];
    await keep(WREN, 'theirs');
    channels[0]!.onmessage!({} as MessageEvent);
    await until(() => waiting().length === 1 && addresses.length === 1);
    expect(waiting()).toEqual(['/sessions/theirs']);
    await settled();
    await dropRows('outbox', WREN);
    channels[0]!.onmessage!({} as MessageEvent);
    await until(() => waiting().length === 0);
    expect(waiting()).toEqual([]);
  });
});

describe('whose it is', () => {
  test('another account neither sees nor sends what waits; its own account does, later', async () => {
    await keep(WREN, 'hers');
    signIn(OTHER);
    await settled();
    await flush();
    expect([waiting(), addresses]).toEqual([[], []]);
    signIn(WREN);
    await until(() => addresses.length > 0);
    expect(addresses).toEqual(['/sessions/hers']);
  });

  test('nothing is sent once another tab signed somebody else in', async () => {
    await keep(WREN, 'hers');
    localStorage.setItem('clay-pot-me', JSON.stringify({ email: OTHER }));
    await flush();
    expect(addresses).toEqual([]);
    expect(await keptFor(WREN)).toEqual(['/sessions/hers']);
  });

  test('what is thrown away is gone, and no one else’s', async () => {
    await keep(OTHER, 'theirs');
    await keep(WREN, 'hers');
    await dropUnsent(WREN);
    expect([await keptFor(WREN), await keptFor(OTHER)]).toEqual([[], ['/sessions/theirs']]);
  });

  test('an answer to a suggestion that an older version kept goes where the server takes it now', async () => {
    await keepRows('outbox', [{ account: WREN, id: 'old', path: '/athletes/a/calls/c', body: { answer: 'accepted' } }]);
    await flush();
    expect(addresses).toEqual(['/athletes/a/suggestions/c']);
  });

  test('what an older version kept is taken over, once', async () => {
    switchAccount(null);
    const older = {
      messages: [{ path: '/sessions/old', body: { amount: 3 } }],
      refused: [{ path: '/sessions/no', body: {}, reason: 'Changed.' }],
    };
    const { messages: letters, refused } = older;
    localStorage.setItem('clay-pot-outbox', JSON.stringify({ state: { letters, refused }, version: 0 }));
    replies = ['away'];
    signIn(WREN);
    await until(() => waiting().length > 0 && addresses.length > 0);
    expect(waiting()).toEqual(['/sessions/old']);
    expect(useOutbox.getState().refused).toMatchObject([{ path: '/sessions/no', reason: 'Changed.' }]);
    expect(localStorage.getItem('clay-pot-outbox')).toBeNull();
    await flush();
    expect(addresses).toEqual(['/sessions/old', '/sessions/old']);
  });
});

describe('a browser that keeps nothing', () => {
  test('is told of at once; what is recorded is in memory and sent while the page is open', async () => {
    const add = jest.spyOn(IDBObjectStore.prototype, 'add').mockImplementation(() => {
      throw new DOMException('full', 'QuotaExceededError');
    });
    replies = ['away'];
    useOutbox.getState().add({ path: '/sessions/only-here', body: {} });
    await until(() => useKeeping.getState().trouble !== null && addresses.length === 1);
    await settled();
    expect(useKeeping.getState().trouble).toMatch(/no space left.*Keep this page open/);
    expect(waiting()).toEqual(['/sessions/only-here']);
    add.mockRestore();
    await flush();
    expect([addresses, waiting()]).toEqual([['/sessions/only-here', '/sessions/only-here'], []]);
  });
});
