import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { StoredClass } from '@clay-pot/contracts';
import type { ClassSession, KnownClassEvent } from '@clay-pot/core';
import { SHORT } from '../made-up.fixture.js';
import { beginClass, classNow, leaveClass, press, takeClass, takePresses, undo, useClassRun } from './class-run.js';
import { switchAccount } from './device-storage.js';
import { useOutbox } from './outbox.js';
import { takePong, useServerClock } from './server-clock.js';

const ID = '01900000-0000-7000-8000-000000000001';
const MEMBER = '01900000-0000-7000-8000-000000000002';
const blocks = SHORT.blocks.map(({ id }) => ({ blockId: id, forms: [null], at: 0, like: [id] }));
const SESSION: Omit<ClassSession, 'startedAt'> = {
  sequenceId: ID,
  sequence: SHORT,
  members: [{ id: MEMBER, athleteId: ID, name: 'Ada', blocks, sore: [] }],
};
const run = () => useClassRun.getState().run!;
const sent = () => useOutbox.getState().messages;
const at = (atMs: number, id: string): KnownClassEvent => ({ id, event: { kind: 'pause', at: atMs } });

beforeEach(() => {
  jest.restoreAllMocks();
  // Nobody answers: what is sent waits.
  jest.spyOn(globalThis, 'fetch').mockRejectedValue(new Error('offline'));
  localStorage.clear();
  switchAccount(null);
  switchAccount('coach@a.example');
  leaveClass();
  useOutbox.setState({ messages: [], refused: [] });
  useServerClock.setState({ behindMs: null, answers: [] });
});

describe('the clock of a class', () => {
  test('is the server’s where that is known', () => {
    useServerClock.setState({ behindMs: 5000, answers: [] });
    beginClass(SESSION);
    expect(run()).toMatchObject({ offsetMs: 0, shiftMs: 5000 });
    expect(Math.abs(classNow(run()) - Date.now() - 5000)).toBeLessThan(50);
    expect(sent()[0]).toMatchObject({ path: `/class-sessions/${run().id}`, body: { offsetMs: 0 } });
  });

  test('begun without a network is this device’s, and stays it; the others are told by how much that differs', () => {
    beginClass(SESSION);
    expect(run()).toMatchObject({ offsetMs: null, shiftMs: 0 });
    takePong(1000, 1010, 3_601_005);
    expect(run()).toMatchObject({ offsetMs: -3_600_000, shiftMs: 0 });
    expect(sent().at(-1)).toMatchObject({ path: `/class-sessions/${run().id}/clock`, body: { offsetMs: -3_600_000 } });
  });

  test('on another device, whose own clock is wrong, is the same', () => {
    const stored: StoredClass = {
      id: ID,
      session: { ...SESSION, startedAt: '2026-05-04T18:00:00.000Z' },
      code: null,
      offsetMs: -2000,
      endedAt: null,
      events: [],
      own: [],
      names: [],
    };
    takeClass(stored);
    takePong(1000, 1010, 61_005);
    expect(run().shiftMs).toBe(58_000);
  });
});

describe('presses', () => {
  beforeEach(() => beginClass(SESSION));

  test('count here at once, and are sent', () => {
    const id = press({ kind: 'leave', memberId: MEMBER });
    expect(run().events).toEqual([{ id, event: { kind: 'leave', memberId: MEMBER, at: expect.any(Number) } }]);
    expect(sent().at(-1)).toMatchObject({ path: `/class-sessions/${run().id}/events/${id}`, body: { event: run().events[0]!.event } });
  });

  test('are taken back by another press, so that every device agrees', () => {
    const id = press({ kind: 'stop', memberId: MEMBER, sign: 'numbness', hand: 'left' })!;
    undo(id);
    expect(run().events.map(({ event }) => event.kind)).toEqual(['stop', 'undo']);
  });

  test('of other devices come in once, in the order of their time', () => {
    takePresses(run().id, [at(5000, 'b'), at(1000, 'a')]);
    takePresses(run().id, [at(1000, 'a'), at(3000, 'c')]);
    expect(run().events.map(({ id }) => id)).toEqual(['a', 'c', 'b']);
    const before = run();
    takePresses(run().id, [at(3000, 'c')]);
    expect(run()).toBe(before);
    takePresses('another class', [at(1, 'z')]);
    expect(run()).toBe(before);
  });

  test('of two windows both stay, whichever wrote last', async () => {
    const mine = press({ kind: 'pause' })!;
    const key = 'clay-pot:coach@a.example:class';
    const kept = JSON.parse(localStorage.getItem(key)!) as { state: { run: { events: KnownClassEvent[] } } };
    kept.state.run.events = [at(7, 'theirs')];
    localStorage.setItem(key, JSON.stringify(kept));
    await useClassRun.persist.rehydrate();
    expect(
      run()
        .events.map(({ id }) => id)
        .toSorted(),
    ).toEqual([mine, 'theirs'].toSorted());
  });
});

test('a device that joined keeps nothing', () => {
  switchAccount(null);
  localStorage.clear();
  takeClass({
    id: ID,
    session: { ...SESSION, startedAt: '2026-05-04T18:00:00.000Z' },
    code: null,
    offsetMs: 0,
    endedAt: null,
    events: [],
    own: [],
    names: [],
  });
  press({ kind: 'pause' });
  expect(run().events).toHaveLength(1);
  expect(localStorage.length).toBe(0);
});
