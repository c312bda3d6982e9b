import { firstOf, itemAt, type Point } from '@clay-pot/core';

const n = (value: number) => value.toFixed(2);

/** A point of the drawing (metres, y up) in the picture's units: centimetres, y down. */
export const cm = ({ x, y }: Point): Point => ({ x: x * 100, y: -y * 100 });

/** A smooth closed outline through points: a Catmull–Rom spline written as cubic Béziers. */
export function smoothPath(points: readonly Point[]): string {
  const count = points.length;
  const at = (index: number) => itemAt(points, (index + count) % count);
  const parts = points.map((_, index) => {
    const [before, from, to, after] = [at(index - 1), at(index), at(index + 1), at(index + 2)];
    const first = { x: from.x + (to.x - before.x) / 6, y: from.y + (to.y - before.y) / 6 };
    const second = { x: to.x - (after.x - from.x) / 6, y: to.y - (after.y - from.y) / 6 };
    return `C${n(first.x)} ${n(first.y)} ${n(second.x)} ${n(second.y)} ${n(to.x)} ${n(to.y)}`;
  });
  return `M${n(firstOf(points).x)} ${n(firstOf(points).y)}${parts.join('')}Z`;
}

/** Points joined by straight lines, as an SVG path. */
export const linePath = (points: readonly Point[]) => points.map(({ x, y }, index) => `${index ? 'L' : 'M'}${n(x)} ${n(y)}`).join('');

/** A rounded tapering piece between two points, as wide at each end as given. */
export function taperPath(from: Point, to: Point, widthFrom: number, widthTo: number): string {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const side = (at: Point, width: number, sign: 1 | -1): Point => ({
    x: at.x - (Math.sin(angle) * width * sign) / 2,
    y: at.y + (Math.cos(angle) * width * sign) / 2,
  });
  const beyond = (at: Point, width: number, sign: 1 | -1): Point => ({
    x: at.x + (Math.cos(angle) * width * sign) / 2,
    y: at.y + (Math.sin(angle) * width * sign) / 2,
  });
  return smoothPath([
    beyond(from, widthFrom, -1),
    side(from, widthFrom, -1),
    side(to, widthTo, -1),
    beyond(to, widthTo, 1),
    side(to, widthTo, 1),
    side(from, widthFrom, 1),
  ]);
}
