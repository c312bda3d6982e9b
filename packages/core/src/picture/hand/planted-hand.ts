import type { PostureLoad } from '../../mechanics/hand-load.js';
import { FINGER_NAMES, type FingerName, HAND_JOINTS, type HandJoint, type HandPose } from '../../vocabulary/hand-joints.js';
import type { OtherHandDoes } from '../../vocabulary/hand-settings.js';
import type { Contact, Facing } from '../../vocabulary/contacts.js';
import { itemAt } from '../../vocabulary/lists.js';
import { type Beat, outShare } from './course.js';
import type { PlacedHand } from './flesh.js';
import { rodGrip, rod, slab } from './holding.js';
import { type Maker, type Making, uses } from './making.js';
import { type HandMoment3d, mirroredHand, movedMoment } from './moment.js';
import { SHAPE_POSES } from './shapes.js';
import { poseBetween } from './closing.js';
import { type Skeleton, wristTurn } from './skeleton.js';
import { HERE, type Placement, placedBetween, turnAbout, twice, type Vec3, placedIn, X, Y, Z } from './space.js';
import { allLanded, flatOn, forearmBehind, heelOf, letDown, palmFlat, SINK_M } from './standing.js';
import type { Thing } from './things.js';

/** A floor under the hands: its top is z = 0. */
export function floorUnder(at: Vec3, look: 'floor' | 'wood' = 'floor', sizeM = 0.62): Thing {
  const thick = look === 'floor' ? 0.004 : 0.03;
  return slab({ at: [at[0], at[1], -thick / 2], turn: HERE.turn }, [sizeM, sizeM, thick], look);
}

/** A flat hand's fingers, with the pads drawn in a little. */
export const FLAT: HandPose = {
  ...SHAPE_POSES.spread,
  thumbPalmarDeg: 2,
  thumbRadialDeg: 54,
  thumbMcpDeg: -4,
  thumbIpDeg: -6,
};
/** A hand that stands on its fingertips: the fingers arched, the thumb long. */
const TENT: HandPose = {
  ...SHAPE_POSES.dome,
  ...{ indexPipDeg: 24, middlePipDeg: 34, ringPipDeg: 24, littlePipDeg: 6 },
  ...{ indexDipDeg: 12, middleDipDeg: 16, ringDipDeg: 10, littleDipDeg: 2 },
  ...{ thumbRadialDeg: 50, thumbPalmarDeg: 36, thumbMcpDeg: 0, thumbIpDeg: 0 },
};
/** How steep the tent’s palm is, how far it leans to the little finger, and how high the wrist is: as much as lets thumb and little finger reach the floor. */
const TENT_LIE = { pitchDeg: 46, rollDeg: 6, heightM: 0.0845 };
/** A fist with its first finger bones level on the floor. */
const FIST: HandPose = { ...SHAPE_POSES.fist };
const BACK: HandPose = { ...SHAPE_POSES.relaxed, thumbPalmarDeg: 20 };

/** How the forearm stands: the wrist’s angles from the load, and the way of the course added to them. */
function wristOf({ wristExtensionDeg, sideTiltDeg }: PostureLoad, facing: Facing, extra: HandPose): Partial<HandPose> {
  // Leaning forward over turned hands, the elbow tips toward the thumb; over hands turned in, away from it.
  const tiltDeg = facing === 'inward' ? -sideTiltDeg : sideTiltDeg;
  return {
    supinationDeg: extra.supinationDeg,
    wristExtensionDeg: inRange('wristExtensionDeg', wristExtensionDeg + extra.wristExtensionDeg),
    wristRadialDeg: inRange('wristRadialDeg', tiltDeg + extra.wristRadialDeg),
  };
}
const inRange = (joint: HandJoint, deg: number) => Math.min(HAND_JOINTS[joint].max, Math.max(HAND_JOINTS[joint].min, deg));

/** A planted hand, fingers along y, for each contact. */
const STANDS: Record<Contact, (skeleton: Skeleton, pose: HandPose, load: PostureLoad) => PlacedHand> = {
  'open palm': (skeleton, pose, { handPitchDeg }) => palmFlat(skeleton, pose, handPitchDeg),
  'raised palm': (skeleton, pose, { handPitchDeg }) => palmFlat(skeleton, pose, handPitchDeg),
  fingertips: tented,
  fist: (skeleton, pose) => letDown(skeleton, FIST_DOWN, pose),
  'back of hand': (skeleton, pose, { handPitchDeg }) => flatOn(skeleton, { down: 'back', liftDeg: handPitchDeg }, pose),
  handle: onHandle,
  edge: onHandle,
  ball: (skeleton, pose) => flatOn(skeleton, { down: 'palm', liftDeg: 0 }, pose),
  none: (skeleton, pose) => letDown(skeleton, THUMB_UP, pose),
};
const SHAPES: Partial<Record<Contact, HandPose>> = {
  'open palm': FLAT,
  'raised palm': FLAT,
  fingertips: TENT,
  fist: FIST,
  'back of hand': BACK,
  none: SHAPE_POSES.fist,
};

/** Knuckles down, the thumb forward, the palm looking inward. */
export const FIST_DOWN = twice(turnAbout(Z, -90), turnAbout(X, -90));

function tented(skeleton: Skeleton, pose: HandPose): PlacedHand {
  const { pitchDeg, rollDeg, heightM } = TENT_LIE;
  const hand: Placement = {
    at: [0, 0, heightM * skeleton.size.lengthTimes],
    turn: twice(turnAbout(X, -pitchDeg), turnAbout(Y, rollDeg)),
  };
  return allLanded(skeleton, { side: 'right', pose, forearm: forearmBehind(hand, pose, 'right') });
}

/** Between the flat palm (0) and the tent (1): the palm rises and tips while the fingers draw in. */
export function tentAt(skeleton: Skeleton, share: number, wrist: Partial<HandPose>): PlacedHand {
  const flat = flatOn(skeleton, { down: 'palm', liftDeg: 0 }, { ...FLAT, ...wrist });
  if (share === 0) return allLanded(skeleton, flat);
  const tent = tented(skeleton, { ...TENT, ...wrist });
  const pose = poseBetween(flat.pose, { ...tent.pose, ...wrist }, share);
  const [low, high] = [flat, tent].map((hand) => handOf(hand));
  const hand = placedBetween(low ?? HERE, high ?? HERE, share);
  return allLanded(skeleton, { side: 'right', pose, forearm: forearmBehind(hand, pose, 'right') });
}
/** Where the hand itself is. */
const handOf = ({ forearm, pose }: PlacedHand): Placement => placedIn(forearm, { at: [0, 0, 0], turn: wristTurn(pose, 1) });

/** Metres from the floor to a handle's middle. */
const HANDLE_M = 0.07;
function onHandle(skeleton: Skeleton, { wristExtensionDeg, wristRadialDeg, supinationDeg }: HandPose): PlacedHand {
  const grip = rodGrip(skeleton, HANDLE_RADIUS_M);
  const { at } = grip;
  const pose = { ...grip.pose, wristExtensionDeg, wristRadialDeg, supinationDeg };
  const turned: Placement = { at: [0, 0, 0], turn: FIST_DOWN };
  const held = placedIn(turned, at);
  const hand: Placement = { at: [-held.at[0], -held.at[1], HANDLE_M - held.at[2]], turn: FIST_DOWN };
  return { side: 'right', pose, forearm: forearmBehind(hand, pose, 'right') };
}
const HANDLE_RADIUS_M = 0.015;

function handleThings(): Thing[] {
  const along: Placement = { at: [0, 0, HANDLE_M], turn: HERE.turn };
  const foot = (y: number) => slab({ at: [0, y, HANDLE_M / 2], turn: HERE.turn }, [0.05, 0.02, HANDLE_M]);
  return [rod(along, HANDLE_RADIUS_M, 0.16, 'wood'), foot(0.085), foot(-0.085)];
}

/** How far a wedge reaches out behind the heel and stays behind the knuckles, and its width; metres. */
const WEDGE = { behindM: 0.012, beforeKnucklesM: 0.014, wideM: 0.115 };
/** A wedge under the heel of a hand that lies sloped, as steep as the hand lies on it. */
function wedgeUnder(skeleton: Skeleton, hand: PlacedHand, down: 'palm' | 'back'): Thing {
  const { heel, knucklesAlongM } = heelOf(skeleton, hand, down);
  const frontM = knucklesAlongM - WEDGE.beforeKnucklesM;
  const backM = Math.min(...heel.map(([, y]) => y)) - WEDGE.behindM;
  const slope = Math.min(...heel.map(([, y, z]) => (z + SINK_M) / (frontM - y)));
  const [longM, highM] = [frontM - backM, Math.max(0.002, slope * (frontM - backM))];
  return {
    shape: 'wedge',
    sizeM: [WEDGE.wideM, longM, highM],
    placement: { at: [0, (frontM + backM) / 2, highM / 2], turn: HERE.turn },
    look: 'cloth',
  };
}

/** A forearm along the floor, thumb up. */
const THUMB_UP = turnAbout(Y, 90);

/** Degrees about the vertical that turn a right hand's fingers from forward. */
const FACING_DEG: Record<Facing, number> = { free: 0, forward: 0, outward: -90, inward: 90, backward: 180 };
/** Between the wrists of both hands when they are drawn, metres: by where the fingers point. */
const APART_M: Record<Facing, number> = { free: 0.2, forward: 0.2, outward: 0.2, inward: 0.44, backward: 0.2 };

/** A forearm that stands over its flat hand. */
const UPRIGHT: Partial<HandPose> = { wristExtensionDeg: 78 };

/** The wrist's angles of a planted hand at a moment. */
export function wristFor({ level, loadAt, course }: Making, beat: Beat): Partial<HandPose> {
  const share = outShare(beat);
  return loadAt ? wristOf(loadAt(share), level.facing, course.poseAt(beat)) : {};
}

/** Hands on floor, wall or table, as the posture has them. */
export function planted(making: Making): Maker {
  const { level, skeleton } = making;
  const { contact, load } = level;
  if (load.kind !== 'body' || !making.loadAt) throw new TypeError('planted hands need a posture');
  const { loadAt } = making;
  const onWall = load.stance.surface === 'wall';
  const raised = load.stance.handHeightM !== 0 && !onWall;
  return (beat) => {
    const share = outShare(beat);
    const hand = STANDS[contact](skeleton, { ...(SHAPES[contact] ?? FLAT), ...wristFor(making, beat) }, loadAt(share));
    const things = [
      floorUnder([0, 0.06, 0], raised ? 'wood' : 'floor'),
      ...(contact === 'handle' || contact === 'edge' ? handleThings() : []),
      ...(load.stance.wedgeDeg ? [wedgeUnder(skeleton, hand, contact === 'back of hand' ? 'back' : 'palm')] : []),
    ];
    return surfaced({ hands: [hand], things }, making, onWall);
  };
}

/** Both hands where turned fingers tell what it is; against a wall the floor stands up. */
export function surfaced(moment: HandMoment3d, { skeleton, level: { facing }, other }: Making, onWall: boolean): HandMoment3d {
  if (onWall) return movedMoment({ at: [0, 0, 0], turn: turnAbout(X, 90) }, moment);
  // One hand that points forward says it all, unless the other one does something else.
  if ((facing === 'forward' || facing === 'free') && other !== 'fingers forward') return moment;
  const { hands, things } = moment;
  const spun = turnAbout(Z, FACING_DEG[facing]);
  const apart: Placement = { at: [APART_M[facing] / 2, 0, 0], turn: spun };
  const own = movedMoment(apart, { hands, things: things.slice(1) });
  const beside: Record<OtherHandDoes, () => readonly PlacedHand[]> = {
    'the same': () => own.hands.map(mirroredHand),
    'fingers forward': () => {
      const flat = movedMoment(
        { at: [APART_M[facing] / 2, 0, 0], turn: HERE.turn },
        { hands: [palmFlat(skeleton, { ...FLAT, ...UPRIGHT })], things: [] },
      );
      return flat.hands.map((hand) => ({ ...mirroredHand(hand), helps: true }));
    },
    away: () => [],
  };
  return { hands: [...own.hands, ...beside[other]()], things: [floorUnder([0, 0, 0], 'floor', 0.8), ...own.things] };
}

/** Which finger is lifted, and how far (0 … 1), in a repetition that goes through thumb and fingers. */
function lifting({ phase }: Beat): { digit: 'thumb' | FingerName; share: number } {
  const way = Math.min(4.999, (phase / 2) * 5);
  const digit = itemAt(['thumb', ...FINGER_NAMES] as const, Math.floor(way));
  return { digit, share: Math.sin((way % 1) * Math.PI) };
}

/** How far a finger comes off the floor by itself, and the thumb; degrees. */
const LIFT_DEG = { finger: 26, thumb: 22 };

/** Fingers that are lifted together: every other one. */
const PARTNER = { index: 'ring', middle: 'little', ring: 'index', little: 'middle' } as const;

/** One digit after the other lifted from a flat hand, or two fingers at a time. */
export const fingersInTurn =
  (inPairs: boolean) =>
  (making: Making): Maker => {
    const still = making.loadAt ? planted(making) : onTable(making);
    return (beat) => {
      const moment = still({ phase: 1, turn: beat.turn });
      const { digit, share } = lifting(beat);
      const partner = inPairs && digit !== 'thumb' ? PARTNER[digit] : null;
      const lift = (pose: HandPose): HandPose => {
        const lifted = { ...pose };
        for (const which of [digit, partner]) {
          if (which === 'thumb') lifted.thumbPalmarDeg = pose.thumbPalmarDeg - LIFT_DEG.thumb * share;
          else if (which) lifted[`${which}McpDeg`] = pose[`${which}McpDeg`] - LIFT_DEG.finger * share;
        }
        return lifted;
      };
      return { ...moment, hands: moment.hands.map((hand) => ({ ...hand, pose: lift(hand.pose) })) };
    };
  };

/** How steep a hand lies on a folded towel, degrees. */
const TOWEL_DEG = 16;
/** How the forearm of a hand lies that rests flat on a table beside the body, degrees of the wrist. */
const TABLE_WRIST_DEG = 22;
/** A flat hand on a table. */
export function onTable(making: Making): Maker {
  const { skeleton, course, level } = making;
  const wedged = level.load.kind === 'press' && uses(making, 'towel');
  return (beat) => {
    const way = course.poseAt(beat);
    const wristExtensionDeg = level.load.kind === 'press' ? way.wristExtensionDeg : TABLE_WRIST_DEG;
    const pose: HandPose = { ...FLAT, wristExtensionDeg, supinationDeg: way.supinationDeg };
    const hand = palmFlat(skeleton, pose, wedged ? TOWEL_DEG : 0);
    const towel = wedged ? [wedgeUnder(skeleton, hand, 'palm')] : [];
    return { hands: [hand], things: [floorUnder([0, 0.03, 0], 'wood', 0.5), ...towel] };
  };
}
