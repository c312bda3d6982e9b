import { FINGER_NAMES, HAND_JOINTS, type HandJoint, type HandPose } from '../../vocabulary/hand-joints.js';
import type { Hand } from '../../vocabulary/hands.js';
import { barsOf, barTo, partsIn, type PlacedHand, skinOf } from './flesh.js';
import { SHAPE_POSES } from './shapes.js';
import { MEASURED_SKIN } from './bones-measured.js';
import { type Part, type Skeleton, wristTurn } from './skeleton.js';
import { crossing, least } from './solving.js';
import { inverse, mirrored, type Placement, type Turn, turnAbout, twice, placedIn, X, Y } from './space.js';

/** How far flesh gives way on a hard floor, metres. */
export const SINK_M = 0.002;

/** Where the forearm's end is when the hand itself is placed. */
export function forearmBehind(hand: Placement, pose: HandPose, side: Hand): Placement {
  const wrist: Placement = { at: [0, 0, 0], turn: wristTurn(pose, 1) };
  return placedIn(hand, inverse(side === 'left' ? mirrored(wrist) : wrist));
}

/** A part of the skin by where it is at rest, millimetres of the measured hand. */
type Zone = (x: number, y: number, z: number, part: Part) => boolean;
const PALM_PARTS: readonly Part[] = ['hand', 'wristHalf', 'index0', 'middle0', 'ring0', 'little0'];
const isPalm = (part: Part) => PALM_PARTS.includes(part);
const isKnuckle = (y: number, part: Part) => y > 74 && y < 104 && (isPalm(part) || part.endsWith('1'));
const zone = (is: Zone) => MEASURED_SKIN.flatMap(([[x, y, z], [part]], i) => (is(x, y, z, part) ? [i] : []));
/** Skin that bears, of the palm’s side and of the back’s: the heel, the knuckle line, and both sides that have to be level. */
const isBall = (part: Part) => isPalm(part) || part === 'thumb1';
const PALM_ZONES = {
  heel: zone((_, y, z, part) => isBall(part) && y < 62 && z < -8),
  knuckles: zone((x, y, z, part) => isKnuckle(y, part) && x > -45 && z < -6),
  index: zone((x, y, z, part) => isBall(part) && y < 62 && x < -10 && z < -8),
  little: zone((x, y, z, part) => isPalm(part) && y < 62 && x > 8 && z < -8),
};
const BACK_ZONES = {
  heel: zone((_, y, z, part) => isPalm(part) && y < 40 && y > -5 && z > 2),
  knuckles: zone((_, y, z, part) => isKnuckle(y, part) && z > -4),
  index: zone((x, y, z, part) => isKnuckle(y, part) && x < -8 && z > -4),
  little: zone((x, y, z, part) => isKnuckle(y, part) && x > 24 && z > -8),
};
type Zones = typeof PALM_ZONES;

/** How a hand lies flat: tipped about x and rolled about y, degrees. */
interface Lie {
  readonly pitchDeg: number;
  readonly rollDeg: number;
}
/** The hand's own placement with its knuckles toward y, tipped forward and rolled; palm down, or turned over. */
function tipped({ pitchDeg, rollDeg }: Lie, down: 'palm' | 'back', heightM = 0): Placement {
  const over = turnAbout(Y, down === 'palm' ? rollDeg : rollDeg + 180);
  return { at: [0, 0, heightM], turn: twice(turnAbout(X, -pitchDeg), over) };
}

/** The lowest of some skin of a hand placed somewhere. */
function lowestOf(skeleton: Skeleton, side: Hand, hand: Placement, pose: HandPose, which: readonly number[]): number {
  const parts = partsIn(skeleton, { side, forearm: forearmBehind(hand, pose, side), pose });
  return skinOf(skeleton, side, parts, which).reduce((low, { at }) => Math.min(low, at[2]), Infinity);
}

const LIES = { palm: new WeakMap<Skeleton, Lie>(), back: new WeakMap<Skeleton, Lie>() };
/** A flat hand: its thumb lies in the plane of the palm, so that the ball of the thumb does not hold it up. */
const LAID: HandPose = { ...SHAPE_POSES.spread, thumbPalmarDeg: 0, thumbRadialDeg: 52 };
/** How an open hand lies flat on its palm or its back: on heel and knuckles, index and little finger alike. Kept for each skeleton. */
function lieOf(skeleton: Skeleton, down: 'palm' | 'back'): Lie {
  const cached = LIES[down].get(skeleton);
  if (cached) return cached;
  const zones: Zones = down === 'palm' ? PALM_ZONES : BACK_ZONES;
  const pose = down === 'palm' ? LAID : SHAPE_POSES.open;
  const higher = (a: readonly number[], b: readonly number[], lie: Lie) => {
    const hand = tipped(lie, down);
    return lowestOf(skeleton, 'right', hand, pose, a) - lowestOf(skeleton, 'right', hand, pose, b);
  };
  let lie: Lie = { pitchDeg: 0, rollDeg: 0 };
  for (let round = 0; round < 3; round++) {
    const { rollDeg } = lie;
    const pitchDeg = crossing((deg) => higher(zones.heel, zones.knuckles, { pitchDeg: deg, rollDeg }), -15, 25);
    lie = {
      pitchDeg,
      rollDeg: crossing((deg) => higher(zones.index, zones.little, { pitchDeg, rollDeg: deg }), -15, 15),
    };
  }
  LIES[down].set(skeleton, lie);
  return lie;
}

/** How a hand stands on the floor: on its palm or its back, tipped up further by so much over its knuckles. */
export interface Standing {
  readonly down: 'palm' | 'back';
  readonly liftDeg: number;
}

/** A hand on the floor z = 0, its fingers along y: heel and knuckle line rest, or the knuckle line alone where it is lifted. */
export function flatOn(skeleton: Skeleton, { down, liftDeg }: Standing, pose: HandPose, sinkM = SINK_M): PlacedHand {
  const side: Hand = 'right';
  const { pitchDeg, rollDeg } = lieOf(skeleton, down);
  const zones = down === 'palm' ? PALM_ZONES : BACK_ZONES;
  const bearing = liftDeg > 0 ? zones.knuckles : [...zones.heel, ...zones.knuckles];
  const hand = tipped({ pitchDeg: pitchDeg + liftDeg, rollDeg }, down);
  const heightM = -lowestOf(skeleton, side, hand, pose, bearing) - sinkM;
  return { side, pose, forearm: forearmBehind({ ...hand, at: [0, 0, heightM] }, pose, side) };
}

/** A hand in a fixed turn, let down until the lowest of it rests on the floor z = 0. */
export function letDown(skeleton: Skeleton, turn: Turn, pose: HandPose, sinkM = SINK_M): PlacedHand {
  const side: Hand = 'right';
  const low = lowestOf(skeleton, side, { at: [0, 0, 0], turn }, pose, HAND_SKIN);
  return { side, pose, forearm: forearmBehind({ at: [0, 0, -low - sinkM], turn }, pose, side) };
}
const HAND_SKIN = zone((_, y) => y > 0);

/** Brings a digit down (or up) by one joint until it lies on the floor z = 0. */
export function landed(skeleton: Skeleton, hand: PlacedHand, joint: HandJoint, parts: readonly Part[], sinkM = SINK_M): HandPose {
  const height = (deg: number) => {
    const pose = { ...hand.pose, [joint]: deg };
    const bars = barsOf(skeleton, hand.side, partsIn(skeleton, { ...hand, pose }), (own) => parts.includes(own));
    return Math.min(...bars.map((bar) => barTo(bar, ([, , z]) => z))) + sinkM;
  };
  const { min, max } = HAND_JOINTS[joint];
  return { ...hand.pose, [joint]: crossing(height, min, max) };
}

/** How dear it is that the ball of the thumb goes into the floor beyond what gives way, and a degree away from the first pose. */
const INTO = 30;
const AWAY = 0.01;
const THUMB_JOINTS = ['thumbRadialDeg', 'thumbPalmarDeg', 'thumbMcpDeg', 'thumbIpDeg'] as const;
/** How far a thumb bends to come down beside a planted hand. */
const THUMB_BOUNDS = [
  [30, 66],
  [-15, 45],
  [-12, 24],
  [-18, 20],
] as const;

/** The thumb brought down onto the floor z = 0 by all its joints a little, its ball no deeper than flesh gives way. */
function thumbLanded(skeleton: Skeleton, hand: PlacedHand): HandPose {
  const first = THUMB_JOINTS.map((joint) => hand.pose[joint]);
  const posed = (angles: readonly number[]): HandPose => {
    const pose = { ...hand.pose };
    THUMB_JOINTS.forEach((joint, i) => (pose[joint] = angles[i] ?? pose[joint]));
    return pose;
  };
  const cost = (angles: readonly number[]) => {
    const parts = partsIn(skeleton, { ...hand, pose: posed(angles) });
    let sum = 0;
    for (const bar of barsOf(skeleton, hand.side, parts, (part) => part.startsWith('thumb'))) {
      const mm = (barTo(bar, ([, , z]) => z) + SINK_M) * 1000;
      if (bar.part === 'thumb3') sum += mm * mm * 4;
      else if (mm < 0) sum += INTO * mm * mm;
    }
    return angles.reduce((all, deg, i) => all + AWAY * (deg - (first[i] ?? 0)) ** 2, sum);
  };
  return posed(least(first, THUMB_BOUNDS, cost, 6));
}

/** All digits of a placed hand on the floor: fingers by their knuckles, the thumb as it can. */
export function allLanded(skeleton: Skeleton, hand: PlacedHand): PlacedHand {
  let { pose } = hand;
  for (const finger of FINGER_NAMES) {
    pose = landed(skeleton, { ...hand, pose }, `${finger}McpDeg`, [`${finger}2`, `${finger}3`]);
  }
  return { ...hand, pose: thumbLanded(skeleton, { ...hand, pose }) };
}

/** A palm on the floor z = 0 with all digits down, tipped up over its knuckles by so much. */
export const palmFlat = (skeleton: Skeleton, pose: HandPose, liftDeg = 0): PlacedHand =>
  allLanded(skeleton, flatOn(skeleton, { down: 'palm', liftDeg }, pose));

/** Where the heel begins before the wrist, metres. */
const HEEL_FROM_M = 0.006;
/** The skin of a placed hand’s heel, and how far along y its knuckle line stands, metres. */
export function heelOf(skeleton: Skeleton, hand: PlacedHand, down: 'palm' | 'back') {
  const { heel, knuckles }: Zones = down === 'palm' ? PALM_ZONES : BACK_ZONES;
  const parts = partsIn(skeleton, hand);
  const at = (which: readonly number[]) => skinOf(skeleton, hand.side, parts, which).map(({ at: point }) => point);
  const lowest = at(knuckles).reduce((low, point) => (point[2] < low[2] ? point : low));
  return { heel: at(heel).filter(([, y]) => y > HEEL_FROM_M), knucklesAlongM: lowest[1] };
}
