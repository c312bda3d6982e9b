import { describe, expect, test } from '@jest/globals';
import { crossing, furthest, least } from './solving.js';

describe('searches in one and several numbers', () => {
  test('a crossing is found whichever way the function goes; without one the nearer end is taken', () => {
    expect(crossing((x) => x * x - 2, 0, 2)).toBeCloseTo(Math.SQRT2, 3);
    expect(crossing((x) => 2 - x * x, 0, 2)).toBeCloseTo(Math.SQRT2, 3);
    expect(crossing((x) => x + 1, 0, 5)).toBe(0);
    expect(crossing((x) => x - 9, 0, 5)).toBe(5);
  });

  test('one goes as far as there is room: to the first thing in the way, not past it', () => {
    expect(furthest((share) => share < 0.3)).toBeCloseTo(0.3, 2);
    expect(furthest((share) => share < 0.3 || share > 0.6)).toBeCloseTo(0.3, 2);
    expect(furthest(() => true)).toBe(1);
    expect(furthest(() => false)).toBe(0);
  });

  test('the least is found within its bounds', () => {
    const bowl = ([x = 0, y = 0]: readonly number[]) => (x - 1) ** 2 + (y + 2) ** 2;
    const found = least(
      [0, 0],
      [
        [-5, 5],
        [-5, 5],
      ],
      bowl,
      2,
    );
    expect(found[0]).toBeCloseTo(1, 1);
    expect(found[1]).toBeCloseTo(-2, 1);
    expect(
      least(
        [0, 0],
        [
          [-5, 5],
          [-1, 5],
        ],
        bowl,
        2,
      )[1],
    ).toBe(-1);
  });
});
