import { describe, expect, test } from '@jest/globals';
import { METRIC, shownAs } from './units.js';

const POUNDS = { mass: 'lb', length: 'in' } as const;

describe('what a coach reads numbers in', () => {
  // 1 lb = 0.45359237 kg and 1 in = 2.54 cm by definition: 70 kg are 154.3 lb, 180 cm are 70.9 in, half a metre is 19.7 in.
  test('masses and lengths are shown as chosen; everything else stays', () => {
    expect(70 * shownAs('kg', POUNDS).per).toBeCloseTo(154.32, 2);
    expect(180 * shownAs('cm', POUNDS).per).toBeCloseTo(70.87, 2);
    expect(0.5 * shownAs('m', POUNDS).per).toBeCloseTo(19.69, 2);
    expect(shownAs('kg·min', POUNDS).unit).toBe('lb·min');
    for (const unit of ['°', 's', 'N·m', 'mm', '%']) expect(shownAs(unit, POUNDS)).toEqual({ unit, per: 1 });
    expect(shownAs('kg', METRIC)).toEqual({ unit: 'kg', per: 1 });
  });
});
