import { beforeEach, describe, expect, jest, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { sequenceOf } from '../made-up.fixture.js';
import { switchAccount } from './device-storage.js';
import { useLead } from './lead.js';
import { usePlayhead } from './playhead.js';
import { beginRun, leadHere, setPaused, tick, useRun } from './run.js';

const WREN = 'wren@hall.example';
const key = (name: string) => `clay-pot:${WREN}:${name}`;
const run = () => useRun.getState().run!;
/** Another tab writes. */
function theyWrite(name: string, value: string): void {
  localStorage.setItem(key(name), value);
  window.dispatchEvent(Object.assign(new Event('storage'), { key: key(name) }));
}

beforeEach(() => {
  globalThis.fetch = jest.fn<typeof fetch>().mockRejectedValue(new TypeError('no network'));
  switchAccount(null);
  localStorage.clear();
  switchAccount(WREN);
  useLead.setState({ elsewhere: false });
  const sequence = sequenceOf([['a', 'prepare', 'free.open-close', 'fast', '2x20s rest10']]);
  beginRun({ athleteId: uuid(), athleteName: 'Test', cautions: [], equipment: [], sequenceId: uuid(), sequence });
});

describe('who leads', () => {
  test('a tab that began it moves the clock; once another took over it does not, and records nothing', () => {
    tick(8_000);
    const { elapsedMs, event } = usePlayhead.getState().head;
    expect(event > 0 || elapsedMs > 0).toBe(true);
    theyWrite('lead', 'another');
    expect(useLead.getState().elsewhere).toBe(true);
    const before = usePlayhead.getState().head;
    tick(60_000);
    expect([usePlayhead.getState().head, run().sets]).toEqual([before, []]);
  });

  test('even before it was told that another took over', () => {
    localStorage.setItem(key('lead'), 'another');
    tick(60_000);
    expect([run().sets, useLead.getState().elsewhere]).toEqual([[], true]);
  });

  test('what the other recorded is taken over with the lead', () => {
    theyWrite('lead', 'another');
    const theirs = { ...run(), sets: [{ id: 'theirs' }], head: { event: 3, elapsedMs: 500, addedMs: 0 } };
    theyWrite('run', JSON.stringify({ state: { run: theirs }, version: 0 }));
    theyWrite('playhead', JSON.stringify({ runId: run().id, head: { event: 3, elapsedMs: 4200, addedMs: 0 } }));
    leadHere();
    expect(useLead.getState().elsewhere).toBe(false);
    expect(run()).toMatchObject({ sets: [{ id: 'theirs' }], paused: true });
    expect(usePlayhead.getState().head).toEqual({ event: 3, elapsedMs: 4200, addedMs: 0 });
    setPaused(false);
    tick(1_000);
    expect(usePlayhead.getState().head.elapsedMs).toBe(5200);
  });
});

describe('the clock', () => {
  test('moves within an event without the session being written', () => {
    tick(100);
    const before = useRun.getState().run;
    const kept = localStorage.getItem(key('run'));
    for (let index = 0; index < 20; index++) tick(100);
    expect(useRun.getState().run).toBe(before);
    expect(localStorage.getItem(key('run'))).toBe(kept);
    expect(usePlayhead.getState().head.elapsedMs).toBe(2100);
  });

  test('goes on after a reload from where it was within the event, paused', () => {
    tick(1_300);
    setPaused(true);
    const { head } = usePlayhead.getState();
    switchAccount(null);
    switchAccount(WREN);
    expect([usePlayhead.getState().head, run().paused]).toEqual([head, true]);
  });
});
