import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { flush, useOutbox } from './outbox.js';

type Reply = 'away' | number;
let replies: Reply[];
let asked: string[];

/** A server that answers as told, and with 204 once nothing is told any more. */
function serve(): void {
  globalThis.fetch = jest.fn<typeof fetch>().mockImplementation(async (input) => {
    const path = String(input).replace('/api', '');
    if (!path.startsWith('/sessions')) return new Response('{}', { headers: { 'content-type': 'application/json' } });
    asked.push(path);
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
const post = (...names: string[]) => useOutbox.setState({ letters: names.map((name) => ({ path: `/sessions/${name}`, body: { name } })) });
const waiting = () => useOutbox.getState().letters.map(({ path }) => path);

beforeEach(() => {
  replies = [];
  asked = [];
  serve();
  useOutbox.setState({ letters: [], refused: [] });
});

describe('the outbox', () => {
  test('sends in order, one after the other', async () => {
    post('a', 'b', 'c');
    await flush();
    expect(asked).toEqual(['/sessions/a', '/sessions/b', '/sessions/c']);
    expect(waiting()).toEqual([]);
  });

  test.each<[string, Reply]>([
    ['nobody answers', 'away'],
    ['the server stumbles', 503],
    ['one is signed out', 401],
    ['it was too much at once', 429],
  ])('keeps everything from the first letter on when %s, and goes on later from there', async (_what, reply) => {
    post('a', 'b', 'c');
    replies = [204, reply];
    await flush();
    expect(waiting()).toEqual(['/sessions/b', '/sessions/c']);
    await flush();
    expect(asked).toEqual(['/sessions/a', '/sessions/b', '/sessions/b', '/sessions/c']);
    expect(waiting()).toEqual([]);
    expect(useOutbox.getState().refused).toEqual([]);
  });

  test('a letter that is refused for good is set aside with the reason, and the next ones go', async () => {
    post('a', 'b');
    replies = [422];
    await flush();
    expect(waiting()).toEqual([]);
    expect(useOutbox.getState().refused).toMatchObject([{ path: '/sessions/a', reason: 'refused with 422' }]);
    useOutbox.getState().dismiss();
    expect(useOutbox.getState().refused).toEqual([]);
  });

  test('two calls at once send nothing twice', async () => {
    post('a', 'b');
    await Promise.all([flush(), flush(), flush()]);
    expect(asked).toEqual(['/sessions/a', '/sessions/b']);
  });

  test('what is added while sending goes out too, last', async () => {
    post('a');
    const sending = flush();
    useOutbox.getState().add({ path: '/sessions/late', body: {} });
    await sending;
    expect(asked).toEqual(['/sessions/a', '/sessions/late']);
  });

  test('letters outlive the page', async () => {
    replies = ['away'];
    useOutbox.getState().add({ path: '/sessions/kept', body: { amount: 8 } });
    await flush();
    useOutbox.setState({ letters: [] });
    localStorage.setItem(
      'clay-pot-outbox',
      JSON.stringify({
        state: { letters: [{ path: '/sessions/kept', body: { amount: 8 } }], refused: [] },
        version: 0,
      }),
    );
    await useOutbox.persist.rehydrate();
    expect(waiting()).toEqual(['/sessions/kept']);
    await flush();
    expect(asked.at(-1)).toBe('/sessions/kept');
  });
});
