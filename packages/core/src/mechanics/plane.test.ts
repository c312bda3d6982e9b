import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { along, angleAtDeg, chord, corner, distance, minus, plus, point, turn } from './plane.js';
import { bisect } from './root.js';

const coordinate = fc.double({ min: -3, max: 3, noNaN: true });
const anyPoint = fc.record({ x: coordinate, y: coordinate });

describe('points of the plane', () => {
  test('a turn keeps lengths and can be taken back', () => {
    fc.assert(
      fc.property(anyPoint, fc.double({ min: -7, max: 7, noNaN: true }), (at, rad) => {
        const turned = turn(at, rad);
        expect(distance(point(0, 0), turned)).toBeCloseTo(distance(point(0, 0), at), 9);
        const back = turn(turned, -rad);
        expect([back.x, back.y]).toEqual([expect.closeTo(at.x, 9), expect.closeTo(at.y, 9)]);
      }),
    );
  });

  test('a corner has both its sides, lies on the left, and is missing where the sides cannot meet', () => {
    const [a, b] = [point(0, 0), point(4, 0)];
    const found = corner(a, b, 3, 5)!;
    expect([distance(a, found), distance(b, found)]).toEqual([expect.closeTo(3, 12), expect.closeTo(5, 12)]);
    expect(found.y).toBeGreaterThan(0);
    expect(corner(b, a, 5, 3)!.y).toBeLessThan(0);
    expect(corner(a, b, 1, 2)).toBeNull();
    expect(corner(a, b, 9, 2)).toBeNull();
    expect(corner(a, a, 1, 1)).toBeNull();
    // Stretched to its very end it still closes.
    expect(corner(a, b, 1.5, 2.5)).toEqual({ x: expect.closeTo(1.5, 9), y: expect.closeTo(0, 4) });
  });

  test('a chord and the angle it was made from agree', () => {
    fc.assert(
      fc.property(fc.double({ min: 5, max: 175, noNaN: true }), (deg) => {
        const [a, b] = [point(0.4, 0), turn(point(0.5, 0), (deg * Math.PI) / 180)];
        expect(distance(a, b)).toBeCloseTo(chord(0.4, 0.5, deg), 9);
        expect(angleAtDeg(point(0, 0), a, b)).toBeCloseTo(deg, 9);
      }),
    );
  });

  test('sums, differences and ways between', () => {
    expect(plus(point(1, 2), point(3, -1))).toEqual({ x: 4, y: 1 });
    expect(minus(point(1, 2), point(3, -1))).toEqual({ x: -2, y: 3 });
    expect(along(point(0, 0), point(2, 4), 0.25)).toEqual({ x: 0.5, y: 1 });
  });
});

describe('halving', () => {
  test('finds a root to its tolerance, whichever way the ends come', () => {
    for (const [from, to] of [
      [0, 2],
      [2, 0],
    ] as const) {
      expect(bisect((x) => x * x - 2, from, to)).toBeCloseTo(Math.SQRT2, 13);
    }
    expect(bisect((x) => x - 1, 1, 3)).toBe(1);
    expect(bisect((x) => x - 3, 1, 3)).toBe(3);
  });
  test('says when there is no change of sign', () => {
    expect(bisect((x) => x * x + 1, -1, 1)).toBeNull();
  });
});
