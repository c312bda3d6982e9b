import { FINGER_NAMES, type HandPose } from '../../vocabulary/hand-joints.js';
import { outShare } from './course.js';
import { partsIn, skinOf } from './flesh.js';
import { rod, slab } from './holding.js';
import type { Maker, Making } from './making.js';
import { movedMoment } from './moment.js';
import { floorUnder } from './planted-hand.js';
import { SHAPE_POSES } from './shapes.js';
import { HERE, type Vec3, turnAbout, twice, X, Y, Z } from './space.js';
import { flatOn, SINK_M } from './standing.js';
import type { Thing } from './things.js';

/** A chest that a hand lies on: half its breadth and its height; how far a breath widens it; metres. */
const RIBS = { radiusM: 0.11, highM: 0.25, widerM: 0.012, fingersDownDeg: 24 } as const;
/** The back of a hand on the side of the ribs, fingers forward and a little down; the breath widens under it. */
export function onRibs({ skeleton, course }: Making): Maker {
  return (beat) => {
    const { wristExtensionDeg } = course.poseAt(beat);
    const pose: HandPose = { ...SHAPE_POSES.relaxed, thumbPalmarDeg: 20, wristExtensionDeg };
    const hand = flatOn(skeleton, { down: 'back', liftDeg: 0 }, pose);
    const chest = rod({ at: [0, 0.05, -RIBS.radiusM], turn: turnAbout(Z, 90) }, RIBS.radiusM, RIBS.highM, 'cloth');
    const turn = twice(turnAbout(X, -RIBS.fingersDownDeg), turnAbout(Y, 90));
    return movedMoment({ at: [RIBS.widerM * outShare(beat), 0, 0], turn }, { hands: [hand], things: [chest] });
  };
}

/** The front of a foot over a palm: breadth, length and thickness, and its middle from the wrist; metres. */
const FOOT = { sizeM: [0.086, 0.19, 0.036], alongM: 0.13, acrossM: 0.004 } as const;
/** Toes over the wrist, big toe first: across the foot, and half their thickness; metres. */
const TOES_M = [
  [-0.03, 0.013],
  [-0.01, 0.0095],
  [0.006, 0.009],
  [0.021, 0.0085],
  [0.034, 0.008],
] as const;
/** How far the knuckles bend so that the fingers lie on the floor rather than in it, degrees. */
const OFF_FLOOR_DEG = 12;
/** A hand that lies on its back under the sole of a foot. */
export function underFoot({ skeleton, course }: Making): Maker {
  return (beat) => {
    const { wristExtensionDeg } = course.poseAt(beat);
    const pose = { ...SHAPE_POSES.together, thumbRadialDeg: 60, thumbPalmarDeg: 0, wristExtensionDeg };
    for (const finger of FINGER_NAMES) pose[`${finger}McpDeg`] = OFF_FLOOR_DEG;
    const hand = flatOn(skeleton, { down: 'back', liftDeg: 0 }, pose);
    const [wide, long, thick] = FOOT.sizeM;
    const [fromX, fromY] = [FOOT.acrossM - wide / 2, FOOT.alongM - long / 2];
    const under = skinOf(skeleton, 'right', partsIn(skeleton, hand)).filter(
      ({ at: [x, y] }) => x > fromX && x < fromX + wide && y > fromY && y < fromY + long,
    );
    const top = Math.max(...under.map(({ at: [, , z] }) => z)) - SINK_M;
    const foot = slab({ at: [FOOT.acrossM, FOOT.alongM, top + thick / 2], turn: HERE.turn }, [wide, long, thick], 'cloth');
    const toes = TOES_M.map(([across, radiusM]): Thing => {
      const at: Vec3 = [FOOT.acrossM + across, fromY - radiusM * 0.9, top + radiusM];
      return { shape: 'ball', radiusM, placement: { at, turn: HERE.turn }, look: 'cloth' };
    });
    return { hands: [hand], things: [floorUnder([0, 0.06, 0]), foot, ...toes] };
  };
}
