import { quantity, say } from '@clay-pot/core';
import { afterEach, describe, expect, test } from '@jest/globals';
import {
  boundsText,
  measureFrom,
  measureText,
  metricText,
  numberText,
  readingText,
  shownUnit,
  storedValue,
  limitText,
  readable,
} from './units.js';
import { showIn } from '../../store/units.js';

afterEach(() => showIn(undefined));

describe('numbers of readings', () => {
  test('forces are shown in kilograms and kept in newtons, all else as it is kept', () => {
    expect(readingText('N', 441.3)).toBe('45.0 kg');
    expect(storedValue('N', 45)).toBe(441.3);
    expect(readingText('°', 71.4)).toBe('71°');
    expect(readingText('N·m', 8.63)).toBe('8.6 N·m');
    expect(readingText('times', 12)).toBe('12');
    expect(readingText('s', 34.2)).toBe('34 s');
    expect(numberText('cm', 3.25)).toBe('3.3');
    expect([shownUnit('N'), shownUnit('times'), shownUnit('°')]).toEqual(['kg', '', '°']);
  });
  test('bounds are said without zeros that say nothing', () => {
    expect(boundsText('N·m')).toBe('0.1–150 N·m');
    expect(boundsText('N')).toBe('0.1–153 kg');
    expect(boundsText('°')).toBe('0–130°');
    expect(boundsText('times')).toBe('0–300');
  });
  test('what was typed is what is shown again', () => {
    for (const typed of [0.1, 12.3, 45, 94.6]) expect(numberText('N', storedValue('N', typed))).toBe(typed.toFixed(1));
  });
  test('a coach of pounds and inches reads and types them; what is kept is the same', () => {
    showIn({ mass: 'lb', length: 'in' });
    expect(readingText('N', 444.82)).toBe('100.0 lb');
    expect(storedValue('N', 100)).toBe(444.82);
    expect(boundsText('N')).toBe('0.2–337.2 lb');
    expect(readingText('cm', 5.08)).toBe('2.0 in');
    expect(metricText('kg', 70, 1)).toBe('154.3 lb');
    expect(readable(say`Was it ${quantity(45, 'kg', 1)}?`)).toBe('Was it 99.2 lb?');
    expect(limitText({ min: 2, max: 40, unit: 'cm' })).toBe('from 0.8 to 15.7 in');
    expect(measureText('cm', 180.3)).toBe('71');
    // 180.34 cm are kept in half centimetres, 86.18 kg in tenths; shown again they are what was typed.
    expect(measureFrom('cm', 71)).toBe(180.5);
    expect(measureText('cm', 188)).toBe('74');
    expect(measureFrom('cm', 74)).toBe(188);
    expect(measureFrom('kg', 190)).toBe(86.2);
    expect(measureText('kg', 86.2)).toBe('190');
    for (const typed of [0.3, 12.3, 154.3]) expect(numberText('N', storedValue('N', typed))).toBe(typed.toFixed(1));
  });
});
