import type { Point } from '@clay-pot/core';
import { linePath } from './path.js';

/** A point of a hand (hand lengths, y up) in a picture of this size. */
export const up = ({ x, y }: Point, size: number): Point => ({ x: x * size, y: -y * size });

/** The edge of a thing. */
export const INK = { stroke: '#16191c', strokeWidth: 1.3, vectorEffect: 'non-scaling-stroke' } as const;

/** The way of a push. */
export function Arrow({ from, to }: { from: Point; to: Point }) {
  const angle = Math.atan2(to.y - from.y, to.x - from.x);
  const wing = (off: number): Point => ({ x: to.x - Math.cos(angle + off) * 6, y: to.y - Math.sin(angle + off) * 6 });
  return (
    <path
      d={linePath([from, to]) + linePath([wing(0.55), to, wing(-0.55)])}
      fill="none"
      stroke="#1f45a8"
      strokeWidth={2.6}
      strokeLinecap="round"
      strokeLinejoin="round"
      vectorEffect="non-scaling-stroke"
    />
  );
}
