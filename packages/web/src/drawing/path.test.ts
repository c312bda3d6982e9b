import { describe, expect, test } from '@jest/globals';
import { cm, linePath, smoothPath, taperPath } from './path.js';

const numbers = (d: string) => d.match(/-?\d+(\.\d+)?/g)!.map(Number);

describe('paths', () => {
  test('metres upward become centimetres downward', () => {
    expect(cm({ x: 0.5, y: 1.2 })).toEqual({ x: 50, y: -120 });
  });
  test('a smooth outline passes through its points and closes', () => {
    const square = [
      { x: 0, y: 0 },
      { x: 10, y: 0 },
      { x: 10, y: 10 },
      { x: 0, y: 10 },
    ];
    const d = smoothPath(square);
    expect(d.startsWith('M0.00 0.00')).toBe(true);
    expect(d.endsWith('Z')).toBe(true);
    const ends = [...d.matchAll(/C[^C]*? (-?[\d.]+) (-?[\d.]+)(?=C|Z)/g)].map(([, x, y]) => [Number(x), Number(y)]);
    expect(ends).toEqual([
      [10, 0],
      [10, 10],
      [0, 10],
      [0, 0],
    ]);
  });
  test('a tapering piece is as wide as told at its ends, and no path holds what is not a number', () => {
    const d = taperPath({ x: 0, y: 0 }, { x: 100, y: 0 }, 20, 8);
    const ys = numbers(d).filter((_, index) => index % 2 === 1);
    expect(Math.max(...ys)).toBeGreaterThanOrEqual(10);
    expect(d).not.toContain('NaN');
    expect(taperPath({ x: 3, y: 3 }, { x: 3, y: 3 }, 2, 2)).not.toContain('NaN');
    expect(
      linePath([
        { x: 1, y: 2 },
        { x: 3, y: 4 },
      ]),
    ).toBe('M1.00 2.00L3.00 4.00');
  });
});
