import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../vocabulary/sentence.js';
import { platesTrialOf } from './plates-trial.js';

/** Leaning on for some seconds, with more and more on the right hand at the end. */
const lean = (seconds: number, atTheEnd = 0) =>
  Array.from({ length: Math.round((seconds + 2) * 50) }, (_, index) => {
    const tS = index / 50;
    const shape = Math.max(0, Math.min(1, (tS - 0.5) * 4, (seconds + 1.5 - tS) * 4));
    const sway = tS > seconds - 1 ? atTheEnd : 0;
    return { tS, leftN: 150 * shape - sway, rightN: 130 * shape + 1.4 * sway + 0.5 * Math.sin(index) };
  });

describe('weight on both hands', () => {
  test('is the mean of the steadiest five seconds, each hand its own', () => {
    const { split, faults } = platesTrialOf(lean(9, 25));
    expect(split!.leftN).toBeCloseTo(150, 0);
    expect(split!.rightN).toBeCloseTo(130, 0);
    expect(split!.leftPercent).toBeCloseTo((100 * 150) / 280, 1);
    expect(split!.toS - split!.fromS).toBeCloseTo(5, 6);
    expect(split!.toS).toBeLessThan(8.3);
    expect(faults).toEqual([]);
  });

  test('of a shorter lean is all of it; of a touch it is none, with the reason', () => {
    expect(platesTrialOf(lean(3)).split!.leftN).toBeCloseTo(150, 0);
    const touch = platesTrialOf(lean(1));
    expect(touch.split).toBeNull();
    expect(sentenceText(touch.faults.at(-1)!.text)).toContain('wasn’t held for 2 s');
    expect(platesTrialOf(lean(9).map((each) => ({ ...each, leftN: 1, rightN: 1 }))).faults.at(-1)!.text).toBe(
      'Nobody stood on the plates.',
    );
  });
});
