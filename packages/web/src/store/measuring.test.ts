import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { type Hand, type Protocol, protocolOf } from '@clay-pot/core';
import type { Athlete } from '@clay-pot/contracts';
import { queryClient } from '../api/queries.js';
import {
  addTrial,
  beginMeasuring,
  goToProtocol,
  keepMeasured,
  readingsOf,
  removeTrial,
  retest,
  setDetail,
  trialsOf,
  useMeasuring,
} from './measuring.js';
import { useOutbox } from './outbox.js';

const WHO = 'a1';
const grip = protocolOf('force.grip')!;
const hold = protocolOf('hold.palms')!;
const now = () => useMeasuring.getState().open[WHO]!;

// What is shown is kept for a working day; here it would keep the run from ending.
afterEach(() => queryClient.clear());
beforeEach(() => {
  globalThis.fetch = jest.fn<typeof fetch>().mockRejectedValue(new TypeError('no network'));
  useOutbox.setState({ messages: [], refused: [] });
  beginMeasuring(WHO, ['force.grip', 'hold.palms', 'force.edge-pull']);
});

const add = ({ id }: Protocol, hand: Hand, value: number) => addTrial(WHO, [{ protocolId: id, hand, value }]);

describe('a battery', () => {
  test('keeps trials by hand, takes one out, begins one thing anew', () => {
    add(grip, 'left', 400);
    add(grip, 'left', 420);
    add(grip, 'right', 450);
    expect(trialsOf(now(), grip.id)).toEqual({ left: [400, 420], right: [450] });
    removeTrial(WHO, grip.id, 'left', 0);
    expect(trialsOf(now(), grip.id).left).toEqual([420]);
    retest(WHO, grip.id);
    expect(trialsOf(now(), grip.id)).toEqual({ left: [], right: [] });
    goToProtocol(WHO, 1);
    expect(now().at).toBe(1);
  });

  test('comes to one reading a hand: the mean of its trials, with gauge and detail; what both do together counts for each', () => {
    add(grip, 'left', 400);
    add(grip, 'left', 430);
    add(hold, 'left', 34);
    add(protocolOf('force.edge-pull')!, 'right', 300);
    setDetail(WHO, 'force.edge-pull', '20 mm, open hand');
    expect(readingsOf(now(), '2026-06-01')).toMatchObject([
      { kind: 'maximum', of: 'grip', hand: 'left', value: 415, trials: [400, 430], gauge: 'dynamometer' },
      { kind: 'hold', of: 'plank on the palms', hand: 'left', value: 34 },
      { kind: 'hold', of: 'plank on the palms', hand: 'right', value: 34 },
      { kind: 'maximum', of: 'edge pull', hand: 'right', value: 300, detail: '20 mm, open hand' },
    ]);
  });

  test('is recorded without a network: shown at once, waiting to be sent, and over', () => {
    add(grip, 'left', 400);
    expect(keepMeasured({ id: WHO } as Athlete)).toBe(1);
    expect(useOutbox.getState().messages).toHaveLength(1);
    expect(useOutbox.getState().messages[0]!.path).toMatch(/^\/athletes\/a1\/readings\/[0-9a-f-]{36}$/);
    expect(queryClient.getQueryData(['readings', WHO])).toMatchObject([{ of: 'grip', value: 400 }]);
    expect(now()).toBeUndefined();
    expect(keepMeasured({ id: WHO } as Athlete)).toBe(0);
  });

  test('an all-out test is two readings of one trial, and goes as one', () => {
    const id = 'all-out.grip';
    beginMeasuring(WHO, [id]);
    const both = (kept: number, above: number) =>
      addTrial(WHO, [
        { protocolId: id, hand: 'right', value: kept },
        { protocolId: `${id}.above`, hand: 'right', value: above },
      ]);
    both(180, 9000);
    expect(readingsOf(now(), '2026-06-01')).toMatchObject([
      { kind: 'critical force', of: 'grip', hand: 'right', value: 180 },
      { kind: 'capacity above', of: 'grip', hand: 'right', value: 9000 },
    ]);
    removeTrial(WHO, id, 'right', 0);
    expect(readingsOf(now(), '2026-06-01')).toEqual([]);
    both(170, 8000);
    retest(WHO, id);
    expect(readingsOf(now(), '2026-06-01')).toEqual([]);
  });
});
