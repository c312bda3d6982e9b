import { describe, expect, test } from '@jest/globals';
import { setImmediate as turn } from 'node:timers/promises';
import { type Asker, BusyError, FairQueue } from '../src/work/fair-queue.js';

/** A queue with a clock of its own, and work that ends when it is told to. */
function queueOf({ atOnce = 1, longestWaitMs = 8000 } = {}) {
  let now = 0;
  const queue = new FairQueue({ atOnce, longestWaitMs, usualMs: 1000 }, () => now);
  const begun: string[] = [];
  const ends = new Map<string, () => void>();
  const ask = (name: string, more: Partial<Asker> = {}) =>
    queue.run({ owner: 'a', kind: 'work', ...more }, () => {
      begun.push(name);
      return new Promise<string>((resolve) => ends.set(name, () => resolve(name)));
    });
  const end = async (name: string, afterMs = 1000) => {
    await turn();
    now += afterMs;
    ends.get(name)!();
    await turn();
  };
  return { queue, begun, ask, end };
}

describe('work that takes turns', () => {
  test('who asks for much makes only themselves wait', async () => {
    const { begun, ask, end } = queueOf();
    for (const name of ['a1', 'a2', 'a3']) void ask(name);
    for (const name of ['b1', 'b2']) void ask(name, { owner: 'b' });
    for (const name of ['a1', 'b1', 'a2', 'b2', 'a3']) await end(name);
    expect(begun).toEqual(['a1', 'b1', 'a2', 'b2', 'a3']);
  });

  test('never more than so many run at once, and a failure makes room', async () => {
    const { queue, begun, ask, end } = queueOf({ atOnce: 2 });
    for (const name of ['1', '2', '3', '4']) void ask(name);
    await turn();
    expect(begun).toEqual(['1', '2']);
    await end('2');
    expect(begun).toEqual(['1', '2', '3']);
    await end('1');
    await end('3');
    await end('4');
    await expect(queue.run({ owner: 'a', kind: 'work' }, () => Promise.reject(new Error('broken')))).rejects.toThrow('broken');
    await expect(queue.run({ owner: 'a', kind: 'work' }, () => Promise.resolve('next'))).resolves.toBe('next');
  });

  test('what nobody waits for comes last and is never refused', async () => {
    const { begun, ask, end } = queueOf({ longestWaitMs: 1500 });
    void ask('now');
    for (const name of ['later 1', 'later 2', 'later 3', 'later 4']) void ask(name, { background: true });
    void ask('asked');
    await end('now');
    await end('asked');
    expect(begun).toEqual(['now', 'asked', 'later 1']);
  });

  test('what would wait too long is refused at once with a time, by what such work took of late; another owner still comes in', async () => {
    const { queue, ask, end } = queueOf();
    void ask('1');
    await end('1', 4000);
    void ask('2');
    void ask('3');
    await turn();
    expect(queue.waitMs({ owner: 'a', kind: 'work' })).toBe(8000);
    void ask('4');
    await expect(ask('5')).rejects.toMatchObject({ name: 'BusyError', retryAfterS: 4 });
    expect(queue.waitMs({ owner: 'b', kind: 'work' })).toBe(4000);
    void ask('b1', { owner: 'b' }).catch(() => undefined);
    await expect(ask('b2', { owner: 'b' })).rejects.toBeInstanceOf(BusyError);
  });

  test('what takes long never has all the room', async () => {
    const { queue, begun, ask, end } = queueOf({ atOnce: 2, longestWaitMs: 60_000 });
    for (const name of ['long 1', 'long 2', 'long 3']) void ask(name, { long: true, kind: 'long' });
    await turn();
    expect(begun).toEqual(['long 1']);
    expect(queue.waitMs({ owner: 'b', kind: 'work' })).toBe(0);
    void ask('short', { owner: 'b' });
    await turn();
    expect(begun).toEqual(['long 1', 'short']);
    await end('long 1', 9000);
    expect(begun).toEqual(['long 1', 'short', 'long 2']);
    expect(queue.waitMs({ owner: 'b', kind: 'long', long: true })).toBe(9000);
  });

  test('nor has what nobody waits for', async () => {
    const { begun, ask, end } = queueOf({ atOnce: 2 });
    for (const name of ['later 1', 'later 2']) void ask(name, { background: true });
    await turn();
    expect(begun).toEqual(['later 1']);
    void ask('asked');
    await turn();
    expect(begun).toEqual(['later 1', 'asked']);
    await end('asked');
    await end('later 1');
    expect(begun).toEqual(['later 1', 'asked', 'later 2']);
  });

  test('work that is abandoned while it waits never begins', async () => {
    const { begun, ask, end } = queueOf();
    const gone = new AbortController();
    void ask('1');
    const second = ask('2', { abandoned: gone.signal });
    void ask('3');
    gone.abort(new Error('gone'));
    await expect(second).rejects.toThrow('gone');
    await end('1');
    expect(begun).toEqual(['1', '3']);
    await expect(ask('4', { abandoned: gone.signal })).rejects.toThrow('gone');
  });
});
