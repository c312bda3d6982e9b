import { describe, expect, test } from '@jest/globals';
import type { Reading } from '../model/reading.js';
import { isEffortOver, NOTHING_SEEN, watched } from './effort-watch.js';
import { momentOf } from './gauge-lever.js';
import { dayByDay, keyOfThing, allRepeats, repeatsOf, thingsIn } from './readings-over-time.js';

const extension = { kind: 'passive range', of: 'wrist extension' } as const;
const read = (hand: 'left' | 'right', onDay: string, value: number, more: Partial<Reading> = {}): Reading => ({
  ...extension,
  hand,
  onDay,
  value,
  ...more,
});
const READINGS = [
  read('left', '2026-05-01', 70, { trials: [68, 72] }),
  read('left', '2026-05-08', 74, { trials: [74] }),
  // Measured again on the same day: a repeat as good as any.
  read('left', '2026-05-08', 78, { trials: [77, 79] }),
  read('right', '2026-05-08', 88),
  read('left', '2026-05-15', 79),
  { kind: 'maximum', of: 'edge pull', hand: 'left', onDay: '2026-05-01', value: 300, detail: '20 mm, open hand' },
  { kind: 'maximum', of: 'edge pull', hand: 'left', onDay: '2026-05-08', value: 340, detail: '14 mm, open hand' },
] as const satisfies readonly Reading[];

describe('readings over time', () => {
  test('what was measured, most often first; an edge of another depth is another thing', () => {
    expect(thingsIn(READINGS).map(keyOfThing)).toEqual([
      'passive range|wrist extension|',
      'maximum|edge pull|14 mm, open hand',
      'maximum|edge pull|20 mm, open hand',
    ]);
  });

  test('repeats are the trials of a reading, and readings of one hand on one day', () => {
    expect(repeatsOf(READINGS, extension)).toEqual([
      [68, 72],
      [77, 79],
      [74, 78],
    ]);
    expect(repeatsOf(READINGS, { kind: 'maximum', of: 'edge pull' })).toEqual([]);
  });

  test('day by day: the mean of a day, and whether it is a real change since the first', () => {
    const days = dayByDay(READINGS, extension, 'left', []);
    // 70, then (74 + 78) ÷ 2 = 76, then 79: real from 7° on.
    expect(days.map(({ value, isReal }) => [value, isReal])).toEqual([
      [70, false],
      [76, false],
      [79, true],
    ]);
    expect(dayByDay(READINGS, extension, 'right', [])).toEqual([{ onDay: '2026-05-08', value: 88, isReal: false }]);
    expect(dayByDay(READINGS, { kind: 'hold', of: 'hang' }, 'left', [])).toEqual([]);
  });
});

describe('whether an effort is over', () => {
  const samples = (from: number, to: number, valueN: number) =>
    Array.from({ length: Math.round((to - from) * 50) }, (_, index) => ({ tS: from + index / 50, valueN }));
  test('once the hand has rested for a second after it, however the samples come in', () => {
    const parts = [samples(0, 1, 0), samples(1, 4, 400), samples(4, 4.9, 1), samples(4.9, 5.2, 2)];
    const states = parts.reduce((list, part) => [...list, watched(list.at(-1)!, part)], [NOTHING_SEEN]);
    expect(states.map((state) => isEffortOver(state))).toEqual([false, false, false, false, true]);
    expect(isEffortOver(watched(NOTHING_SEEN, parts.flat()))).toBe(true);
  });
  test('never by noise alone, nor while it is held', () => {
    expect(isEffortOver(watched(NOTHING_SEEN, samples(0, 9, 3)))).toBe(false);
    expect(isEffortOver(watched(NOTHING_SEEN, samples(0, 40, 200)))).toBe(false);
  });
});

test('a force at its distance is a moment', () => {
  // 11 kg, 107.87 N, 8 cm from the wrist.
  expect(momentOf(107.87, 8)).toBeCloseTo(8.63, 2);
});

describe('a coach’s own repeats', () => {
  const at = (onDay: string, value: number, trials?: number[]): Reading => ({
    kind: 'maximum',
    of: 'grip',
    hand: 'left',
    value,
    onDay,
    ...(trials && { trials }),
  });
  test('are pooled over everybody who was measured, but never mixed: two people of one day are no repeat', () => {
    const [pooled, ...others] = allRepeats([[at('2026-05-01', 400, [398, 402])], [at('2026-05-01', 300), at('2026-05-01', 304)]]);
    expect(pooled).toEqual({
      ...{ kind: 'maximum', of: 'grip', detail: '' },
      sets: [
        [398, 402],
        [300, 304],
      ],
    });
    expect(others).toEqual([]);
    expect(allRepeats([[at('2026-05-01', 400)], [at('2026-05-01', 300)]])).toEqual([]);
  });
  test('are the latest there are, whosever: a hand that measures changes', () => {
    const lately = Array.from({ length: 60 }, (_, index) =>
      at(`2026-05-${String(1 + (index % 28)).padStart(2, '0')}`, 400, [400, 401 + index]),
    );
    const old = at('2025-01-01', 300, [290, 310]);
    for (const people of [
      [lately, [old]],
      [[old], lately],
    ]) {
      const sets = allRepeats(people)[0]!.sets;
      expect(sets).toHaveLength(60);
      expect(sets).not.toContainEqual([290, 310]);
    }
  });
  test('leave out what was measured after a session’s work', () => {
    const warm: Reading = {
      ...at('2026-05-01', 430),
      sessionId: '0197a1b2-0000-7000-8000-000000000000',
      moment: 'after',
    };
    expect(allRepeats([[at('2026-05-01', 400), warm]])).toEqual([]);
  });
});
