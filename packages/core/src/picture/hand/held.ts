import { answerFor, type LevelLoad, type LoadKind, type LoadOf, type LoadTable } from '../../model/load.js';
import type { Digit } from '../../vocabulary/digits.js';
import { FINGER_NAMES, type FingerName, HAND_JOINTS, type HandJoint, type HandPose } from '../../vocabulary/hand-joints.js';
import { ON_EDGE, onEdge, USUAL_EDGE_MM } from './edges.js';
import { fingersOf, type Held, inHand } from './in-hand.js';
import { barsOf, barTo, partsIn } from './flesh.js';
import { distanceToThings } from './helping.js';
import { freeHand, LYING, type Pointing, tableUnder, thighUnder } from './free-hand.js';
import { ALL_DIGITS, alongRod, ballGrip, type Grip, gripOf, rod, rodGrip, slab, thumbAround, turnedBy } from './holding.js';
import { type Maker, type Making, uses } from './making.js';
import { padOf } from './touching.js';
import { SHAPE_POSES } from './shapes.js';
import { keptFor, type Skeleton } from './skeleton.js';
import { crossing } from './solving.js';
import {
  add,
  cross,
  facing,
  HERE,
  type Placement,
  times,
  type Turn,
  turnAbout,
  turned,
  turnTo,
  unitOf,
  UNTURNED,
  type Vec3,
  X,
  Y,
  Z,
} from './space.js';
import { outShare } from './course.js';
import type { Thing } from './things.js';

const HALF_MM = 2000;
/** A dumbbell's weights by what it weighs: their radius and how long each is, metres. */
function dumbbell(grip: Grip, radiusM: number, massKg: number): Thing[] {
  const weightM = 0.022 + 0.009 * Math.cbrt(massKg);
  const longM = 0.02 + 0.006 * massKg ** 0.5;
  const end = (away: number) => rod(alongRod(grip.at, away), weightM, longM, 'metal');
  return [rod(alongRod(grip.at, 0.004), radiusM, 0.15, 'metal'), end(0.084), end(-0.076)];
}

/** A bar that goes on to the other hand: only its near end is seen. */
const longBar = (grip: Grip, radiusM: number): Thing[] => [rod(alongRod(grip.at, -0.09), radiusM, 0.4, 'metal')];

/** Something round in the fist with a head at a distance toward the thumb's side (or the other). */
function lever(grip: Grip, radiusM: number, leverM: number): Thing[] {
  const toward = Math.sign(leverM);
  const long = Math.abs(leverM) * DRAWN_SHORT;
  return [
    rod(alongRod(grip.at, (toward * (long - 0.06)) / 2), radiusM, long + 0.06, 'wood'),
    rod(turnedBy(alongRod(grip.at, toward * long), turnAbout(X, 90)), 0.026, 0.075, 'metal'),
  ];
}
/** Levers are drawn shorter than they are, so that the hand stays large. */
const DRAWN_SHORT = 0.6;

const ROD_M = { dumbbell: 0.014, lever: 0.0125, stick: 0.012, gripper: 0.011 };

function heldWeight({ leverM, massKg, action, handleMm, digits }: LoadOf<'weight'>, making: Making): Held {
  const { skeleton } = making;
  if (digits) return pinchedWeight(skeleton, massKg);
  if (massKg === 0) return { grip: SHAPE_POSES.relaxed, things: [] };
  const radiusM = handleMm === undefined ? (leverM === undefined ? ROD_M.dumbbell : ROD_M.lever) : handleMm / HALF_MM;
  const grip = rodGrip(skeleton, radiusM);
  if (leverM === undefined) {
    return { grip: grip.pose, things: uses(making, 'bar') ? longBar(grip, radiusM) : dumbbell(grip, radiusM, massKg) };
  }
  const toLittle = action === 'ulnar deviation' || action === 'pronation' ? -1 : 1;
  return { grip: grip.pose, things: lever(grip, radiusM, toLittle * leverM) };
}

/** A small weight between thumb and one finger. */
function pinchedWeight(skeleton: Skeleton, massKg: number): Held {
  const { grip, things } = pinched(skeleton, PINCHED_MM / 1000, 0.03 + 0.004 * massKg);
  return { grip, things: things.map((thing) => ({ ...thing, look: 'metal' })) };
}
const PINCHED_MM = 24;

/** How bent the knuckles are that pinch something: less, the thicker it is. Degrees at nothing, and for each millimetre. */
const PINCH_KNUCKLE = { deg: 66, perMm: -0.42 };
/** How much of a plate the fingers cover, metres. */
const COVERED_M = 0.034;

/** Something flat between thumb and fingers: so thick, and so large. */
function pinched(skeleton: Skeleton, thickM: number, sizeM: number, digits: readonly Digit[] = ['index', 'thumb']): Held {
  const knuckle = PINCH_KNUCKLE.deg + PINCH_KNUCKLE.perMm * thickM * 1000;
  const pose = { ...SHAPE_POSES.pinch };
  FINGER_NAMES.forEach((finger, i) => {
    const works = digits.includes(finger);
    // What does not hold stays straight and out of the way.
    pose[`${finger}McpDeg`] = works ? knuckle + 3 * i : Math.max(0, knuckle - 38);
    pose[`${finger}PipDeg`] = works ? 12 + 3 * i : 12;
    pose[`${finger}DipDeg`] = 6;
  });
  const parts = partsIn(skeleton, { side: 'right', forearm: HERE, pose });
  const pads = FINGER_NAMES.filter((finger) => digits.includes(finger)).map((finger) => padOf(skeleton, parts, finger));
  const mean = (of: (pad: (typeof pads)[number]) => Vec3) => times(pads.map(of).reduce(add), 1 / pads.length);
  const [middle, out, along] = [mean(({ at }) => at), unitOf(mean((pad) => pad.out)), unitOf(mean((pad) => pad.along))];
  // Its face lies on the pads; most of it is beyond the fingertips.
  const face = facing(along, out);
  const centre = add(add(middle, times(out, thickM / 2 - 0.0005)), times(along, sizeM / 2 - Math.min(COVERED_M, sizeM * 0.4)));
  const thing = slab({ at: centre, turn: face }, [sizeM, sizeM, thickM], 'metal');
  const distanceTo = distanceToThings([thing]);
  let grip: HandPose = pose;
  // Each finger comes to lie on it by its own knuckle.
  for (const finger of FINGER_NAMES.filter((each) => digits.includes(each))) {
    grip = laidOn(skeleton, grip, `${finger}McpDeg`, finger, distanceTo);
  }
  return { grip: thumbAround(skeleton, grip, distanceTo, 0.001), things: [thing] };
}

/** A joint turned until its finger just touches something. */
export function laidOn(
  skeleton: Skeleton,
  pose: HandPose,
  joint: HandJoint,
  finger: FingerName,
  distanceTo: (at: Vec3) => number,
): HandPose {
  const away = (deg: number) => {
    const parts = partsIn(skeleton, { side: 'right', forearm: HERE, pose: { ...pose, [joint]: deg } });
    return Math.min(...barsOf(skeleton, 'right', parts, (part) => part.startsWith(finger)).map((bar) => barTo(bar, distanceTo))) + 0.001;
  };
  return {
    ...pose,
    [joint]: crossing(away, Math.max(HAND_JOINTS[joint].min, pose[joint] - 35), Math.min(HAND_JOINTS[joint].max, pose[joint] + 35)),
  };
}

function heldLift({ on, handleMm, pinchMm, edgeMm, edgeGrip, digits, massKg }: LoadOf<'lift'>, { skeleton, level }: Making): Held {
  if (level.contact === 'ball') return ballOnStrap(skeleton, (handleMm ?? 70) / HALF_MM);
  if (on === 'pinch') return pinched(skeleton, (pinchMm ?? 40) / 1000, 0.15, digits ?? ['index', 'middle', 'ring', 'little', 'thumb']);
  if (on === 'edge') return onEdge(skeleton, (edgeMm ?? USUAL_EDGE_MM) / 1000, ON_EDGE[edgeGrip ?? 'open hand'], massKg);
  const radiusM = (handleMm ?? 30) / HALF_MM;
  const thumbBeside = digits !== undefined && !digits.includes('thumb');
  const grip = rodGrip(skeleton, radiusM, 'straight', thumbBeside ? FINGER_NAMES : ALL_DIGITS);
  // The arm hangs: what hangs from the handle is straight below it, whichever way the handle lies across the palm.
  const size = 0.05 + 0.016 * Math.cbrt(massKg);
  const below = (metres: number, away = 0): Placement => {
    const [x, y, z] = alongRod(grip.at, away).at;
    return { at: [x, y + metres, z], turn: UNTURNED };
  };
  const strut = (away: number) => rod(below(HANGER.longM / 2, away), HANGER.radiusM, HANGER.longM, 'metal');
  return {
    grip: grip.pose,
    things: [
      rod(grip.at, radiusM, 2 * HANGER.asideM + 0.02, 'metal'),
      strut(HANGER.asideM),
      strut(-HANGER.asideM),
      slab({ at: below(HANGER.longM + size / 2).at, turn: levelAlong(grip.at.turn) }, [size, size, 2 * HANGER.asideM + 0.03], 'metal'),
    ],
  };
}
/** Upright, and along a rod that is turned like this. */
function levelAlong(rodTurn: Turn): Turn {
  const [x, , z] = turned(rodTurn, Y);
  const along = unitOf([x, 0, z]);
  return turnTo(cross(Y, along), Y, along);
}
/** What joins a handle to its weight: how far to either side, how long and how thick, metres. */
const HANGER = { asideM: 0.062, longM: 0.075, radiusM: 0.006 };

/** A ball in the whole hand, and the strap that hangs from it beyond the little finger. */
function ballOnStrap(skeleton: Skeleton, radiusM: number): Held {
  const { pose, at } = ballGrip(skeleton, radiusM);
  const [x, y, z] = at.at;
  const strap = rod({ at: [x, y + radiusM + STRAP.longM / 2 - 0.004, z], turn: UNTURNED }, STRAP.radiusM, STRAP.longM, 'cloth');
  return { grip: pose, things: [{ shape: 'ball', radiusM, placement: at, look: 'rubber' }, strap] };
}
const STRAP = { radiusM: 0.004, longM: 0.16 };

/** Radius of balls, metres, and how far a squeeze makes them smaller, of it. */
const BALLS = {
  soft: { radiusM: 0.033, gives: 0.16 },
  firm: { radiusM: 0.035, gives: 0.05 },
  putty: { radiusM: 0.026, gives: 0.22 },
};
const ballFor = (making: Making) => (uses(making, 'putty') ? BALLS.putty : uses(making, 'firm ball') ? BALLS.firm : BALLS.soft);

/** A spring gripper: one handle in the palm, the other under the fingers, nearer the more it is closed. */
function gripper(skeleton: Skeleton, closed: number): Held {
  const apart = GRIPPER.apartM - GRIPPER.closesM * closed;
  const second = ({ at, turn }: Placement): Placement => ({ at: add(at, times(GRIPPER.toward, apart)), turn });
  const handle = (placement: Placement) => rod(placement, ROD_M.gripper, GRIPPER.longM, 'metal');
  const grip = keptFor(skeleton, `gripper ${apart}`, () =>
    gripOf(skeleton, { thing: handle, besides: (at) => [handle(second(at))], atMm: [2, 60], turn: turnAbout(Z, 90) }),
  );
  const other = second(grip.at);
  const spring = rod(
    {
      at: alongRod({ at: times(add(grip.at.at, other.at), 0.5), turn: grip.at.turn }, GRIPPER.longM / 2 + 0.004).at,
      turn: facing(GRIPPER.toward, X),
    },
    0.007,
    apart + 0.02,
    'metal',
  );
  return { grip: grip.pose, things: [handle(grip.at), handle(other), spring] };
}
const GRIPPER = { apartM: 0.046, closesM: 0.02, longM: 0.12, toward: [0, 0.78, -0.62] as Vec3 };

/** What a hand holds by its load and its things, as far as it is closed (0 … 1). */
function heldFor(load: LevelLoad, making: Making, share: number): Held | null {
  return answerFor(HELD, load, making, share);
}
const byContact = ({ level, skeleton }: Making, stick: boolean): Held | null => {
  if (level.contact === 'ball') return null;
  if (level.contact !== 'handle') return null;
  const grip = rodGrip(skeleton, stick ? ROD_M.stick : ROD_M.dumbbell);
  return {
    grip: grip.pose,
    things: stick ? [rod(alongRod(grip.at, 0.16), ROD_M.stick, 0.44, 'wood')] : dumbbell(grip, ROD_M.dumbbell, 0.5),
  };
};
const ball = (making: Making, squeezed: number, digits?: readonly Digit[]): Held => {
  const { radiusM: wholeM, gives } = ballFor(making);
  const radiusM = wholeM * (1 - gives * squeezed);
  const { pose, at } = ballGrip(making.skeleton, radiusM, digits);
  return { grip: pose, things: [{ shape: 'ball', radiusM, placement: at, look: 'rubber' }] };
};

const HELD: LoadTable<LoadKind, Held | null, [Making, number]> = {
  body: () => null,
  hang: () => null,
  lift: (load, making) => heldLift(load, making),
  weight: (load, making) => heldWeight(load, making),
  roller: () => null,
  press: (_, making, share) => squeezed(making, share),
  resist: ({ digits }, making, share) => squeezed(making, share, digits),
  move: (_, making) => (making.level.contact === 'ball' ? ball(making, 0) : byContact(making, uses(making, 'stick'))),
  stretch: () => null,
  rest: () => null,
};

function squeezed(making: Making, share: number, digits?: readonly Digit[]): Held | null {
  if (uses(making, 'hand gripper')) return gripper(making.skeleton, share);
  if (making.level.contact === 'ball' || uses(making, 'putty')) return ball(making, share, digits);
  return byContact(making, false);
}

/** Where the forearm of a hand that holds something points. */
const pointingOf = ({ level: { load } }: Making): Pointing => {
  if (load.kind === 'lift') return 'down';
  if (load.kind !== 'weight') return 'ahead';
  // A lever is tipped from a hanging arm; a dumbbell lies in a hand whose forearm rests.
  return load.action.endsWith('deviation') && load.leverM !== undefined ? 'down' : 'ahead';
};

/** A hand with what it holds. */
export function holding(making: Making): Maker {
  const { course, level, skeleton } = making;
  const lies = level.load.kind === 'weight' && level.posture === 'seated';
  const pointing = pointingOf(making);
  return (beat) => {
    const share = outShare(beat);
    const held = heldFor(level.load, making, share);
    const way = course.poseAt(beat);
    const pose = held ? fingersOf(held.grip, way) : way;
    const hand = freeHand(pose, pointing, lies ? LYING : UNTURNED);
    const support = lies ? [uses(making, 'table') ? tableUnder() : thighUnder()] : [];
    return { hands: [hand], things: [...support, ...(held ? inHand(skeleton, hand, held.things) : [])] };
  };
}
