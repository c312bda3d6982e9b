import { FINGER_NAMES, type HandPose } from '../../vocabulary/hand-joints.js';
import { outShare } from './course.js';
import { partsIn, skinOf } from './flesh.js';
import { slab } from './holding.js';
import type { Maker, Making } from './making.js';
import { movedMoment } from './moment.js';
import { floorUnder } from './planted-hand.js';
import { SHAPE_POSES } from './shapes.js';
import { HERE, turnAbout, twice, X, Y } from './space.js';
import { flatOn, SINK_M } from './standing.js';

/** A side of the chest that a hand lies on: thickness, depth and height; how far a breath widens it; metres. */
const RIBS = { sizeM: [0.06, 0.2, 0.2], widerM: 0.012, fingersDownDeg: 24 } as const;
/** The back of a hand on the side of the ribs, fingers forward and a little down; the breath widens under it. */
export function onRibs({ skeleton, course }: Making): Maker {
  return (beat) => {
    const { wristExtensionDeg } = course.poseAt(beat);
    const pose: HandPose = { ...SHAPE_POSES.relaxed, thumbPalmarDeg: 20, wristExtensionDeg };
    const hand = flatOn(skeleton, { down: 'back', liftDeg: 0 }, pose);
    const [thick, deep, high] = RIBS.sizeM;
    const chest = slab({ at: [0, 0.05, -thick / 2], turn: HERE.turn }, [high, deep, thick], 'cloth');
    const turn = twice(turnAbout(X, -RIBS.fingersDownDeg), turnAbout(Y, 90));
    return movedMoment({ at: [RIBS.widerM * outShare(beat), 0, 0], turn }, { hands: [hand], things: [chest] });
  };
}

/** The front of a foot over a palm: breadth, length and thickness, and its middle from the wrist; metres. */
const FOOT = { sizeM: [0.086, 0.19, 0.036], alongM: 0.13, acrossM: 0.004 } as const;
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
    const foot = slab(
      { at: [FOOT.acrossM, FOOT.alongM, top + thick / 2], turn: HERE.turn },
      [wide, long, thick],
      'cloth',
    );
    return { hands: [hand], things: [floorUnder([0, 0.06, 0]), foot] };
  };
}
