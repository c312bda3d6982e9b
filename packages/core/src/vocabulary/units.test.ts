import { describe, expect, test } from '@jest/globals';
import { inWords, METRIC, shownAs } from './units.js';

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

  test('sentences follow, ranges too; what is no mass is left alone', () => {
    expect(inWords('Was it 45.0 kg? Hold 5–10 kg, 20 cm apart.', POUNDS)).toBe('Was it 99.2 lb? Hold 11.0–22.0 lb, 7.9 in apart.');
    expect(inWords('20 kg·min; 12 kgs; a 20 mm edge', POUNDS)).toBe('20 kg·min; 12 kgs; a 20 mm edge');
    expect(inWords('Hold 5 kg.', METRIC)).toBe('Hold 5 kg.');
  });
});
