import { type HandPose, PALM_DOWN_DEG } from '../../vocabulary/hand-joints.js';
import { poseBetween } from './closing.js';
import { outShare } from './course.js';
import { barsOf, barTo, partsIn, type PlacedHand } from './flesh.js';
import { distanceToThings } from './helping.js';
import { type Maker, type Making, uses } from './making.js';
import { movedMoment } from './moment.js';
import { FIST_DOWN, FLAT, floorUnder, planted, surfaced, tentAt, wristFor } from './planted-hand.js';
import { SHAPE_POSES } from './shapes.js';
import { HERE, type Placement, turnAbout, twice, X, Z } from './space.js';
import { forearmBehind, letDown, palmFlat } from './standing.js';
import { slab } from './holding.js';
import type { Skeleton } from './skeleton.js';
import { furthest } from './solving.js';
import type { Thing } from './things.js';

/** From the flat palm up onto the fingertips and down again. */
export function palmToFingertips(making: Making): Maker {
  const { skeleton, level } = making;
  const onWall = level.load.kind === 'body' && level.load.stance.surface === 'wall';
  const raised = level.load.kind === 'body' && level.load.stance.handHeightM !== 0 && !onWall;
  return (beat) => {
    const share = outShare(beat);
    const wrist = wristFor(making, beat);
    const hand = tentAt(skeleton, share, wrist);
    return surfaced({ hands: [hand], things: [floorUnder([0, 0.06, 0], raised ? 'wood' : 'floor')] }, making, onWall);
  };
}

/** From fists on the floor, thumbs forward, over the knuckles onto the backs of the hands. */
export function fistToBack({ skeleton }: Making): Maker {
  return (beat) => {
    const share = outShare(beat);
    const pose: HandPose = { ...SHAPE_POSES.fist, wristExtensionDeg: -72 * share };
    const hand = letDown(skeleton, twice(FIST_DOWN, turnAbout(X, -ROLL_DEG * share)), pose);
    return { hands: [hand], things: [floorUnder([0, 0.02, 0])] };
  };
}
/** From standing on the knuckles to lying on the back, degrees. */
const ROLL_DEG = 84;

/** A hand that is lifted and set down further on. */
export function stepping(making: Making): Maker {
  const still = planted(making);
  return (beat) => {
    const moment = still({ ...beat, phase: 1 });
    const share = beat.phase / 2;
    const step: Placement = {
      at: [0, STEP.longM * (share - 0.5), STEP.highM * Math.sin(share * Math.PI)],
      turn: turnAbout(X, -STEP.tipDeg * Math.sin(share * Math.PI)),
    };
    const { hands } = movedMoment(step, { hands: moment.hands, things: [] });
    return { hands, things: moment.things };
  };
}
const STEP = { longM: 0.1, highM: 0.045, tipDeg: 14 };

/** Gathering cloth or paper on a table under the heel of the hand. */
export function gathering(making: Making): Maker {
  const { skeleton } = making;
  const paper = making.movement.equipment.includes('paper');
  return (beat) => {
    const share = outShare(beat);
    const flat: HandPose = FLAT;
    const drawn: HandPose = { ...SHAPE_POSES.dome, thumbPalmarDeg: -2, thumbMcpDeg: 30, thumbRadialDeg: 40 };
    const shaped = poseBetween(flat, withPip(drawn, 72, 30), share);
    const pose: HandPose = { ...shaped, wristExtensionDeg: 20 + 6 * share };
    const hand = palmFlat(skeleton, pose);
    const size = paper ? [0.2, 0.28] : [0.24, 0.3];
    const sheet = slab(
      { at: [0, 0.13 - 0.035 * share, 0.0006], turn: HERE.turn },
      [(size[0] ?? 0) * (1 - 0.45 * share), (size[1] ?? 0) * (1 - 0.5 * share), 0.0012],
      paper ? 'paper' : 'cloth',
    );
    const fold = {
      shape: 'ball',
      radiusM: 0.003 + 0.015 * share,
      placement: { at: [0.004, 0.1, 0.004 + 0.008 * share], turn: HERE.turn },
      look: sheet.look,
    } as const;
    return { hands: [hand], things: [floorUnder([0, 0.06, 0], 'wood', 0.5), sheet, fold] };
  };
}
const withPip = (pose: HandPose, pip: number, dip: number): HandPose => ({
  ...pose,
  ...{ indexPipDeg: pip, middlePipDeg: pip, ringPipDeg: pip, littlePipDeg: pip },
  ...{ indexDipDeg: dip, middleDipDeg: dip, ringDipDeg: dip, littleDipDeg: dip },
});

/** A palm that rolls a ball on a table. */
export function onBall(making: Making): Maker {
  const { skeleton } = making;
  const radiusM = making.level.equipment.includes('firm ball') ? 0.034 : 0.031;
  return (beat) => {
    const share = outShare(beat);
    const across = -0.02 + 0.04 * share;
    const pose: HandPose = {
      ...SHAPE_POSES['around a ball'],
      ...withPip(SHAPE_POSES.relaxed, 18, 8),
      thumbPalmarDeg: 22,
      wristExtensionDeg: 12,
    };
    const ball = {
      shape: 'ball',
      radiusM,
      placement: { at: [across, 0.074, radiusM], turn: HERE.turn },
      look: 'rubber',
    } as const;
    const hand = overThing(skeleton, pose, ball);
    const onWall = uses(making, 'wall');
    const moment = { hands: [hand], things: [floorUnder([0, 0.06, 0], onWall ? 'floor' : 'wood', 0.5), ball] };
    return onWall ? movedMoment({ at: [0, 0, 0], turn: turnAbout(X, 90) }, moment) : moment;
  };
}

/** A hand let down over a thing until its palm lies on it. */
function overThing(skeleton: Skeleton, pose: HandPose, thing: Thing): PlacedHand {
  const distanceTo = distanceToThings([thing]);
  const at = (heightM: number): PlacedHand => {
    const hand: Placement = { at: [0, 0, heightM], turn: turnAbout(X, -6) };
    return { side: 'right', pose, forearm: forearmBehind(hand, pose, 'right') };
  };
  const free = (heightM: number) => {
    const hand = at(heightM);
    return barsOf(skeleton, 'right', partsIn(skeleton, hand)).every((bar) => barTo(bar, distanceTo) > -0.0015);
  };
  return at(0.16 - 0.12 * furthest((share) => free(0.16 - 0.12 * share), 24));
}

/** A palm on a wall with the fingers pointing down. */
export function wallFingersDown({ skeleton, course }: Making): Maker {
  return (beat) => {
    const { wristExtensionDeg } = course.poseAt(beat);
    const pose: HandPose = { ...FLAT, wristExtensionDeg };
    const hand = palmFlat(skeleton, pose);
    return movedMoment(DOWN_THE_WALL, { hands: [hand], things: [floorUnder([0, 0.06, 0])] });
  };
}
/** The floor stood up as a wall whose front looks back at the body, the fingers pointing down. */
const DOWN_THE_WALL: Placement = { at: [0, 0, 0], turn: twice(turnAbout(X, 90), turnAbout(Z, 180)) };

/** A flat palm on a table with the fingers toward the body, the forearm leaning back. */
export function tableFingersBack({ skeleton, course }: Making): Maker {
  return (beat) => {
    const { wristExtensionDeg } = course.poseAt(beat);
    const pose: HandPose = { ...FLAT, wristExtensionDeg };
    const hand = palmFlat(skeleton, pose);
    return { hands: [hand], things: [floorUnder([0, 0.06, 0], 'wood', 0.5)] };
  };
}

/** Hands in warm water: a bowl seen through its rim. */
export function inWater(making: Making): Maker {
  const { course } = making;
  return (beat) => {
    const pose = { ...course.poseAt(beat), supinationDeg: PALM_DOWN_DEG, wristExtensionDeg: 10 };
    const hand: PlacedHand = { side: 'right', pose, forearm: { at: [0, 0, 0.07], turn: turnAbout(X, -28) } };
    const water = slab({ at: [0, 0.08, -0.01], turn: HERE.turn }, [0.34, 0.36, 0.09], 'water');
    return { hands: [hand], things: [water] };
  };
}
