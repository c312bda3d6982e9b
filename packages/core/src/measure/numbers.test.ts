import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { ALL_OUT, criticalForceOf, contractionsAbove } from './critical-force.js';
import { changeOf, detectableChange, errorOf, pooledSpread } from './error.js';
import { lesserWords, sidesOf } from './sides.js';
import { type DayValue, trendOf } from './trend.js';
import { addDays } from '../vocabulary/days.js';
import { runs } from '../properties.fixture.js';

const extension = { sort: 'range', of: 'wrist extension' } as const;
const grip = { sort: 'force', of: 'grip' } as const;

describe('error and change, by hand', () => {
  // Three people, two trials each, degrees: 60 64 · 70 70 · 51 55. Deviations from each mean: ±2, 0, ±2; squares 8 + 0 + 8 = 16 over 3 degrees of
  // freedom: SEM √(16 ÷ 3) = 2.309°; smallest detectable change 1.96 · √2 · 2.309 = 6.40°.
  const trials = [
    [60, 64],
    [70, 70],
    [51, 55],
  ];
  test('pooled within people', () => {
    const { sd, repeats } = pooledSpread(trials);
    expect(sd).toBeCloseTo(2.3094, 4);
    expect(repeats).toBe(3);
    expect(detectableChange(sd)).toBeCloseTo(6.4013, 3);
  });

  test('too few repeats: the usual error; enough: the coach’s own', () => {
    expect(errorOf(extension, 70, trials)).toMatchObject({ from: 'usual', change: 7, repeats: 3 });
    const many = [...trials, ...trials, ...trials];
    expect(errorOf(extension, 70, many)).toMatchObject({ from: 'own repeats', repeats: 9 });
    expect(errorOf(extension, 70, many).change).toBeCloseTo(6.4013, 3);
  });

  test('an “improvement” within the error is none', () => {
    expect(changeOf(extension, 70, 76)).toMatchObject({ by: 6, isReal: false });
    expect(changeOf(extension, 70, 77)).toMatchObject({ by: 7, isReal: true });
    // 5 kg is the smallest important change of grip: 49.03 N.
    expect(changeOf(grip, 400, 448).isReal).toBe(false);
    expect(changeOf(grip, 400, 450).isReal).toBe(true);
  });
});

describe('left and right', () => {
  test('a tenth more on the right is a right-hander’s due, and not a left-hander’s', () => {
    expect(sidesOf(grip, { left: 400, right: 440 }, 'right').isUneven).toBe(false);
    expect(sidesOf(grip, { left: 340, right: 440 }, 'right')).toMatchObject({ isUneven: true, lesser: 'left' });
    // Equal hands of a right-hander: the right lacks its tenth, within the error still.
    expect(sidesOf(grip, { left: 440, right: 440 }, 'right').isUneven).toBe(false);
    expect(sidesOf(grip, { left: 500, right: 440 }, 'right').isUneven).toBe(true);
    expect(sidesOf(grip, { left: 440, right: 495 }, 'left').isUneven).toBe(true);
  });
  test('angles have no handedness', () => {
    expect(sidesOf(extension, { left: 58, right: 74 }, 'right')).toMatchObject({ isUneven: true, lesser: 'left', difference: -16 });
    expect(lesserWords(extension, sidesOf(extension, { left: 58, right: 74 }, 'right'))).toBe('left 22 % less');
    expect(lesserWords(grip, sidesOf(grip, { left: 340, right: 440 }, 'right'))).toBe('left 23 % weaker');
    expect(sidesOf(extension, { left: 70, right: 74 }, 'right').isUneven).toBe(false);
  });
});

describe('trend', () => {
  const weekly = (values: readonly number[]): DayValue[] =>
    values.map((value, week) => ({ onDay: addDays('2026-01-05', 7 * week), value }));

  // By hand: 60 62 63 66 70 in weeks 0–4. Slopes between pairs: 2, 1.5, 2, 2.5, 1, 2, 2.667, 3, 3.5, 4; sorted
  // 1 1.5 2 2 2 2.5 2.667 3 3.5 4, median (2 + 2.5) ÷ 2 = 2.25 a week. What each leaves at week 0: 60, 59.75, 58.5, 59.25, 61; median 59.75;
  // the line stands at 68.75 in week 4.
  test('the median of slopes, by hand', () => {
    const trend = trendOf(weekly([60, 62, 63, 66, 70]), 80);
    expect(trend.slopePerWeek).toBeCloseTo(2.25, 6);
    expect(trend.nowValue).toBeCloseTo(68.75, 6);
    expect(trend.direction).toBe('up');
    // 80 − 68.75 = 11.25 at 2.25 a week: five weeks after 2 February.
    expect(trend.forecast?.onDay).toBe('2026-03-09');
    expect(trend.forecast!.fromDay < '2026-03-09').toBe(true);
    expect(trend.forecast!.toDay! > '2026-03-09').toBe(true);
  });

  test('one slip of the finger hardly moves it', () => {
    const slipped = trendOf(weekly([60, 61, 62, 36, 64, 65, 66, 67]));
    expect(slipped.slopePerWeek).toBeCloseTo(1, 6);
  });

  test('says when it cannot be said', () => {
    expect(trendOf([], 80).why).toContain('No readings yet');
    expect(trendOf(weekly([60, 62, 64]), 80).why).toContain('Not enough data');
    expect(
      trendOf(
        weekly([60, 60, 60, 60]).map((each) => ({ ...each, onDay: '2026-01-05' })),
        80,
      ).why,
    ).toContain('from one day');
    expect(trendOf(weekly([60, 66, 59, 63, 61, 62]), 80)).toMatchObject({ direction: 'none', forecast: null });
    expect(trendOf(weekly([60, 66, 59, 63, 61, 62]), 80).why).toContain('No clear trend yet');
    expect(trendOf(weekly([70, 68, 66, 64, 62]), 80).why).toContain('move away');
    expect(trendOf(weekly([70, 74, 78, 82, 86]), 80).why).toContain('already reached');
    expect(trendOf(weekly([60, 60.1, 60.2, 60.3, 60.4]), 90).why).toContain('more than a year');
  });

  test('the same readings in any order give the same trend, and time and size scale it', () => {
    const values = fc.array(fc.integer({ min: 40, max: 90 }), { minLength: 4, maxLength: 9 });
    fc.assert(
      fc.property(values, fc.integer({ min: 0, max: 1000 }), (list, shift) => {
        const trend = trendOf(weekly(list));
        const interval = trend.intervalPerWeek!;
        expect(trendOf(weekly(list).toReversed())).toEqual(trend);
        expect(interval[0]).toBeLessThanOrEqual(interval[1]);
        const shifted = trendOf(weekly(list.map((value) => value + shift)));
        expect(shifted.slopePerWeek!).toBeCloseTo(trend.slopePerWeek!, 6);
        const doubled = trendOf(weekly(list.map((value) => value * 2)));
        expect(doubled.slopePerWeek!).toBeCloseTo(2 * trend.slopePerWeek!, 6);
      }),
      runs(25),
    );
  });
});

describe('critical force', () => {
  // By hand: 400 N falling by 25 N a contraction for eight, then 16 at 200 N. Critical force 200 N; above it 7 s · (200 + 175 + … + 25) = 7 · 900 = 6300 N·s.
  const forces = Array.from({ length: 24 }, (_, index) => Math.max(200, 400 - 25 * index));
  test('by hand', () => {
    const result = criticalForceOf(forces);
    expect(result).toMatchObject({
      criticalForceN: 200,
      capacityAboveNs: 6300,
      percentOfBest: 50,
      bestN: 400,
      faults: [],
    });
    expect(result.leftNs[0]).toBe(4900);
    expect(result.leftNs.at(-1)).toBe(0);
    // 300 N: 6300 ÷ 100 = 63 s.
    expect(contractionsAbove(result, 300)).toBe(9);
    expect(contractionsAbove(result, 200)).toBe(Infinity);
  });

  test('says what keeps it from being plain', () => {
    const falling = Array.from({ length: ALL_OUT.contractions }, (_, index) => 400 * 0.96 ** index);
    expect(criticalForceOf(falling).faults.join()).toContain('still dropping');
    expect(criticalForceOf(forces.map((force, index) => (index > 20 ? 260 : force))).faults.join()).toContain(
      'the earlier ones weren’t all-out',
    );
    expect(criticalForceOf(forces.map((force, index) => (index < 3 ? 250 : force))).faults.join()).toContain('wasn’t all-out');
    expect(criticalForceOf(forces.map((force, index) => (index === 10 ? 20 : force))).faults).toEqual([
      'Contraction 11 was missed or slipped.',
    ]);
    expect(criticalForceOf(forces.slice(0, 18)).faults.join()).toContain('18 of 24');
    expect(() => criticalForceOf([300, 200])).toThrow('At least 12 contractions are needed, not 2');
  });
});
