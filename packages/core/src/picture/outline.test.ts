import { describe, expect, test } from '@jest/globals';
import { distance, point, type Point } from '../mechanics/plane.js';
import { footOutline, headOutline, limbOutline, shortsOutline, trunkOutline } from './outline.js';

/** Signed area: positive when the outline runs counter-clockwise. */
const area = (points: readonly Point[]) =>
  points.reduce((sum, at, index) => {
    const next = points[(index + 1) % points.length]!;
    return sum + at.x * next.y - next.x * at.y;
  }, 0) / 2;
const STATURE = 1.74;
const [hip, knee] = [point(0, 0.9), point(0, 0.48)];

describe('outlines', () => {
  test('a limb has body around its line, more at the thigh than at the wrist', () => {
    const thigh = limbOutline('thigh', hip, knee, STATURE);
    const forearm = limbOutline('forearm', hip, point(0, 0.63), STATURE);
    expect(Math.abs(area(thigh))).toBeGreaterThan(2 * Math.abs(area(forearm)));
    const widest = Math.max(...thigh.map(({ x }) => Math.abs(x)));
    expect(widest).toBeGreaterThan(0.06);
    expect(widest).toBeLessThan(0.12);
  });

  test('the calf lies behind the shin, whichever way the body faces', () => {
    const deepest = (front: 1 | -1) => {
      const xs = limbOutline('shank', knee, point(0, 0.07), STATURE, front).map(({ x }) => x);
      return [Math.max(...xs), -Math.min(...xs)];
    };
    const [ahead, behind] = deepest(1);
    expect(behind).toBeGreaterThan(ahead!);
    const [mirrorAhead, mirrorBehind] = deepest(-1);
    expect([mirrorAhead, mirrorBehind]).toEqual([expect.closeTo(behind!, 9), expect.closeTo(ahead!, 9)]);
  });

  test('women and men have outlines of their own; seen from the front both sides are alike', () => {
    const shoulder = point(0, 1.42);
    expect(trunkOutline('female', shoulder, hip, STATURE, 1)).not.toEqual(trunkOutline('male', shoulder, hip, STATURE, 1));
    const front = trunkOutline('male', shoulder, hip, STATURE, 0);
    const sum = front.reduce((total, { x }) => total + x, 0);
    expect(sum).toBeCloseTo(0, 9);
    const { thigh, hips } = shortsOutline('male', { shoulder, hip, knee }, STATURE, 1);
    const lowest = Math.min(...thigh.map(({ y }) => y));
    expect(lowest).toBeGreaterThan(knee.y);
    expect(Math.max(...hips.map(({ y }) => y))).toBeLessThan(shoulder.y);
  });

  test('the nose points where the body faces, the instep lies above the sole', () => {
    const [chin, vertex] = [point(0, 1.5), point(0, 1.74)];
    const furthest = (front: 1 | -1) => headOutline(chin, vertex, front).head.reduce((a, b) => (Math.abs(b.x) > Math.abs(a.x) ? b : a));
    expect(furthest(1).x * furthest(-1).x).toBeLessThan(0);
    const foot = footOutline(point(0, 0.07), point(-0.06, 0), point(0.12, 0), point(0.19, 0), STATURE);
    expect(Math.min(...foot.map(({ y }) => y))).toBeCloseTo(0, 9);
    expect(foot.some((at) => distance(at, point(0, 0.07)) < 0.03)).toBe(true);
  });
});
