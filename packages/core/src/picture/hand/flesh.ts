import type { Hand } from '../../vocabulary/hands.js';
import type { HandPose } from '../../vocabulary/hand-joints.js';
import { itemAt } from '../../vocabulary/lists.js';
import { MEASURED_BARS, MEASURED_SKIN } from './bones-measured.js';
import { HAND_BONES, ownMm, type Part, type Parts, partsOf, sized, type Skeleton } from './skeleton.js';
import { add, between, mirrored, placed, type Placement, seenFrom, times, type Vec3, placedIn } from './space.js';

// Bound once: the hands’ geometry asks for them millions of times.
const { max, min, sqrt } = Math;

/** A hand somewhere: its size, which one it is, where the end of its forearm is, and its joints. */
export interface PlacedHand {
  readonly side: Hand;
  /** The wrist, y along the forearm toward the hand, z out of its back when the wrist is straight. */
  readonly forearm: Placement;
  readonly pose: HandPose;
  /** Whether it only helps the other one, or resists it. */
  readonly helps?: boolean;
}

/** A round bar of flesh, metres. */
export interface Bar {
  readonly part: Part;
  readonly from: Vec3;
  readonly fromM: number;
  readonly to: Vec3;
  readonly toM: number;
}

/** The parts of a placed hand, seen from outside. */
export function partsIn(skeleton: Skeleton, { side, forearm, pose }: PlacedHand): Parts {
  const own = partsOf(skeleton, pose);
  const placedParts = { ...own };
  for (const part of PARTS) placedParts[part] = placedIn(forearm, side === 'left' ? mirrored(own[part]) : own[part]);
  return placedParts;
}
/** Every part there is. */
export const PARTS: readonly Part[] = ['elbow', 'turnThird', 'turnTwoThirds', 'forearm', 'wristHalf', 'hand', ...HAND_BONES];

/** The flesh of a placed hand, seen from outside; of some parts only where they are named. */
export function barsOf(skeleton: Skeleton, side: Hand, parts: Parts, only?: (part: Part) => boolean): Bar[] {
  const thick = skeleton.size.breadthTimes / 1000;
  return MEASURED_BARS.filter(({ part }) => !only || only(part)).map(({ part, from, fromMm, to, toMm }) => ({
    part,
    from: placed(parts[part], ownMm(skeleton, from, side)),
    fromM: fromMm * thick,
    to: placed(parts[part], ownMm(skeleton, to, side)),
    toM: toMm * thick,
  }));
}

/** The wrist and the half of the forearm next to it, so that nothing passes through them: two bars side by side. */
export function forearmBars(skeleton: Skeleton, parts: Parts): Bar[] {
  const thick = skeleton.size.breadthTimes / 1000;
  const { forearm } = parts;
  return [-1, 1].map((side) => ({
    part: 'forearm',
    from: placed(forearm, [side * 8 * thick, 6 * thick, 0]),
    fromM: 19.5 * thick,
    to: placed(forearm, [side * 8 * thick, -skeleton.forearmM / 2, 0]),
    toM: 31 * thick,
  }));
}

/** A point of the skin and the part that it follows most. */
export interface SkinPoint {
  readonly at: Vec3;
  readonly part: Part;
}

const EVERYWHERE = MEASURED_SKIN.map((_, i) => i);
/** Points spread over the skin of a placed hand, seen from outside: all of them, or those of some numbers. */
export function skinOf(skeleton: Skeleton, side: Hand, parts: Parts, which: readonly number[] = EVERYWHERE): SkinPoint[] {
  const { size, rest } = skeleton;
  return which.map((i) => {
    const [point, ...weights] = itemAt(MEASURED_SKIN, i);
    const at = sized(size, point);
    let moved: Vec3 = [0, 0, 0];
    for (const [part, weight] of weights) {
      const own = seenFrom(rest[part], at);
      moved = add(moved, times(placed(parts[part], side === 'left' ? [-own[0], own[1], own[2]] : own), weight));
    }
    return { at: moved, part: weights[0][0] };
  });
}

/** Metres from a point to a bar's surface; negative inside. */
export function fromBar({ from, fromM, to, toM }: Bar, at: Vec3): number {
  const [ax, ay, az] = [to[0] - from[0], to[1] - from[1], to[2] - from[2]];
  const [px, py, pz] = [at[0] - from[0], at[1] - from[1], at[2] - from[2]];
  const share = min(1, max(0, (px * ax + py * ay + pz * az) / max(1e-12, ax * ax + ay * ay + az * az)));
  const [x, y, z] = [px - ax * share, py - ay * share, pz - az * share];
  return sqrt(x * x + y * y + z * z) - (fromM + (toM - fromM) * share);
}

/** Balls along a bar, close enough that nothing of a finger's thickness slips between them. */
const STATIONS = [0, 0.25, 0.5, 0.75, 1];
/** Forearms are long: more balls. */
const LONG_STATIONS = Array.from({ length: 15 }, (_, i) => i / 14);
/** Metres from a bar to the surface that a distance belongs to; negative inside it. */
export function barTo(bar: Bar, distanceTo: (at: Vec3) => number): number {
  let least = Infinity;
  for (const share of bar.part === 'forearm' ? LONG_STATIONS : STATIONS) {
    const away = distanceTo(between(bar.from, bar.to, share)) - (bar.fromM + (bar.toM - bar.fromM) * share);
    if (away < least) least = away;
  }
  return least;
}
