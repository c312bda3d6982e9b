import { firstOf } from '../vocabulary/lists.js';
import type { HandGeometry } from './hand-contact.js';
import { closeChain, handHeight } from './linkage.js';
import { centreOfMass, type Joints, type MassPoint, massPoints } from './masses.js';
import { minus, point, type Point, RAD } from './plane.js';
import { segmentsOf } from './segments.js';
import { type Body, checkBody } from '../model/body.js';
import { working } from '../vocabulary/constant.js';
import { GRAVITY } from '../vocabulary/gravity.js';
import { checkPosture, PostureError, type SupportPosture } from '../model/posture.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';

/** A force in the sagittal plane, N. */
export interface Force {
  readonly at: Point;
  /** Newtons. */
  readonly force: Point;
}

/** What one hand bears. */
export interface HandLoad {
  readonly loadN: number;
  readonly loadPercentBW: number;
  /** Moment of the load about the wrist: muscles and stretched tissue hold it together. */
  readonly wristMomentNm: number;
  /** Muscle moment at the knuckles, all fingers of the hand together. */
  readonly fingerMomentNm: number;
  /** What the arm above bears: the hand's load, or the forearm's that lies on the floor. */
  readonly armN: number;
  /** About the elbow: above 0 it bends the arm and is held by what straightens it. */
  readonly elbowMomentNm: number;
  /** About the shoulder: above 0 it lifts the arm and is held by what draws it down, below by what lifts it. */
  readonly shoulderMomentNm: number;
}

/** What a posture asks of the hands. */
export interface PostureLoad {
  /** Both hands (or forearms) together, in percent of body weight. */
  readonly bothPercentBW: number;
  readonly left: HandLoad;
  readonly right: HandLoad;
  /** On the forearms instead of the hands, both together. */
  readonly forearmsPercentBW: number;
  /** Wrist extension (+) or flexion (−), as the posture demands it. */
  readonly wristExtensionDeg: number;
  readonly sideTiltDeg: number;
  readonly copAheadM: number;
  readonly heldBy: MuscleGroup;
  readonly pressure: HandGeometry['pressure'];
  readonly handPitchDeg: number;
  readonly leanDeg: number;
  /** Shoulders in front of the wrists. */
  readonly leanM: number;
  readonly hipAngleDeg: number;
  readonly distanceM: number;
  /** The surface under the hands above the floor; on a wall, where they are. */
  readonly handHeightM: number;
  readonly joints: Joints;
  readonly forces: readonly Force[];
  /** Largest imbalance of forces (N) and of moments (N·m) over the whole body: zero but for rounding. */
  readonly freeBodyResidual: number;
}

/** How much of its own direction an arm gives the force where the shoulders stand behind the hands. */
const ALONG_THE_ARM = working(
  'Force along an arm that reaches forward',
  0.5,
  'of the arm’s tilt',
  'hands before the shoulders push away as well as down, by friction; half the arm’s direction fits published shares of body weight on boxes',
  [0.3, 0.7],
);

/**
 * Share of body weight on the hands, and what it asks of the wrists, for a body in a posture.
 *
 * A planar, sagittal, rigid-link body at rest. Forces on level ground are vertical, on a wall horizontal; where the shoulders stand behind
 * the hands, their force takes half the arm's direction, by friction, which the feet answer. `F_hands · (x_hands − x_support) = Σ m g (x − x_support)`.
 * @throws BodyError, PostureError naming the field and what would be right.
 */
export function handLoad(body: Body, posture: SupportPosture): PostureLoad {
  checkBody(body);
  checkPosture(posture);
  const segments = segmentsOf(body);
  const { joints, hand, leanDeg, hipAngleDeg, distanceM } = closeChain(segments, posture);
  const masses = massPoints(segments, posture, joints);
  const forces = reactions(posture, joints, masses, leanDeg);
  const { at, force: hands } = firstOf(forces);
  const onHands = posture.surface === 'wall' ? -hands.x : hands.y;
  if (onHands < 0) {
    throw new PostureError('distanceM', 'The weight is behind the support, so the hands would have to pull. Move the hands further away.');
  }
  const weight = body.massKg * GRAVITY;
  const front = posture.face === 'back' ? -1 : 1;
  const bendsElbow = posture.contact === 'none' ? 0 : front * momentNm(minus(at, joints.elbow), hands);
  const aboutShoulder = front * momentNm(minus(at, joints.shoulder), hands);
  const each = (share: number): HandLoad => {
    const loadN = posture.contact === 'none' ? 0 : onHands * share;
    return {
      loadN,
      loadPercentBW: (100 * loadN) / weight,
      wristMomentNm: loadN * hand.copAheadM,
      fingerMomentNm: loadN * hand.beyondKnucklesM,
      armN: onHands * share,
      elbowMomentNm: share * bendsElbow,
      shoulderMomentNm: share * aboutShoulder,
    };
  };
  const bothPercentBW = (100 * onHands) / weight;
  return {
    bothPercentBW,
    left: each(posture.leftShare),
    right: each(1 - posture.leftShare),
    forearmsPercentBW: posture.contact === 'none' ? bothPercentBW : 0,
    wristExtensionDeg: hand.extensionDeg,
    sideTiltDeg: hand.sideTiltDeg,
    copAheadM: hand.copAheadM,
    heldBy: hand.heldBy,
    pressure: hand.pressure,
    handPitchDeg: hand.pitchDeg,
    leanDeg,
    leanM: posture.surface === 'wall' ? joints.shoulder.y - joints.wrist.y : joints.shoulder.x - joints.wrist.x,
    hipAngleDeg,
    distanceM,
    handHeightM: handHeight(segments, posture),
    joints,
    forces,
    freeBodyResidual: residual(forces, masses),
  };
}

const momentNm = (arm: Point, force: Point) => arm.x * force.y - arm.y * force.x;

/** Feet that rest lower than this above the hands do not stand on a wall. */
const LEAST_UP_A_WALL_M = 0.05;

/** Forces on the body, the hands' first, then the support's. */
function reactions(posture: SupportPosture, joints: Joints, masses: readonly MassPoint[], leanDeg: number): Force[] {
  const { pressure, contact } = joints;
  const mass = masses.reduce((sum, { massKg }) => sum + massKg, 0);
  const centre = centreOfMass(masses);
  const weight = mass * GRAVITY;
  if (posture.support === 'none') return [{ at: pressure, force: point(0, weight) }];
  if (posture.support === 'feet on wall') {
    // The wall behind pushes along the floor and carries no weight; the floor under the hands takes all of it and pushes back.
    const heightM = contact.y - pressure.y;
    if (!(heightM > LEAST_UP_A_WALL_M)) {
      throw new PostureError('supportHeightM', 'The feet must be on the wall above the hands; level with the hands, they have no support.');
    }
    const push = (weight * (pressure.x - centre.x)) / heightM;
    if (!(push >= 0)) {
      throw new PostureError(
        'distanceM',
        'The weight is past the hands, so the feet would leave the wall. Walk the hands further out or the feet lower.',
      );
    }
    return [
      { at: pressure, force: point(-push, weight) },
      { at: contact, force: point(push, 0) },
    ];
  }
  if (posture.surface === 'wall') {
    const push = (weight * (centre.x - contact.x)) / (pressure.y - contact.y);
    return [
      { at: pressure, force: point(-push, 0) },
      { at: contact, force: point(push, weight) },
    ];
  }
  const away = posture.contact === 'none' ? 0 : Math.tan(ALONG_THE_ARM.value * Math.min(0, leanDeg) * RAD);
  const onHands = (weight * (centre.x - contact.x)) / (pressure.x - contact.x - away * (pressure.y - contact.y));
  return [
    { at: pressure, force: point(away * onHands, onHands) },
    { at: contact, force: point(-away * onHands, weight - onHands) },
  ];
}

/** Free-body check about a point that the solution did not use: the first mass. */
function residual(forces: readonly Force[], masses: readonly MassPoint[]): number {
  const about = firstOf(masses).at;
  let [x, y, moment] = [0, 0, 0];
  const add = (at: Point, force: Point) => {
    x += force.x;
    y += force.y;
    moment += momentNm(minus(at, about), force);
  };
  for (const { at, force } of forces) add(at, force);
  for (const { massKg, at } of masses) add(at, point(0, -massKg * GRAVITY));
  return Math.max(Math.abs(x), Math.abs(y), Math.abs(moment));
}
