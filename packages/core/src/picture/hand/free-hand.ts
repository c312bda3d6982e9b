import type { HandPose } from '../../vocabulary/hand-joints.js';
import type { PlacedHand } from './flesh.js';
import { slab, rod } from './holding.js';
import type { Maker, Making } from './making.js';
import { type Placement, turnAbout, twice, type Turn, UNTURNED, X, Y } from './space.js';
import type { Thing } from './things.js';

/** Where a free forearm points: ahead, down beside the body, up. */
export type Pointing = 'ahead' | 'down' | 'up';
const POINTING: Record<Pointing, Turn> = { ahead: UNTURNED, down: turnAbout(X, -90), up: turnAbout(X, 90) };

/** A forearm that points somewhere, turned as its pose says: thumb up (or forward, when it hangs) in the middle. */
export function freeForearm(pose: HandPose, pointing: Pointing = 'ahead', tip: Turn = UNTURNED): Placement {
  return { at: [0, 0, 0], turn: twice(twice(POINTING[pointing], tip), turnAbout(Y, pose.supinationDeg + 90)) };
}

/** A free right hand in a pose. */
export const freeHand = (pose: HandPose, pointing: Pointing = 'ahead', tip: Turn = UNTURNED): PlacedHand => ({
  side: 'right',
  pose,
  forearm: freeForearm(pose, pointing, tip),
});

/** A hand that moves by itself. */
export const free =
  (pointing: Pointing) =>
  ({ course }: Making): Maker =>
  (beat) => ({ hands: [freeHand(course.poseAt(beat), pointing)], things: [] });

/** A forearm that lies rises a little toward the elbow, where it is thicker. */
export const LYING = turnAbout(X, -6);
/** What is under a forearm: its top below the wrist’s middle, and where it ends toward the hand; metres. */
const UNDER = { belowM: 0.0235, toM: -0.075, longM: 0.3, wideM: 0.34, thickM: 0.03 };

/** A table’s edge under a forearm. */
export const tableUnder = (): Thing =>
  slab({ at: [0, UNDER.toM - UNDER.longM / 2, -UNDER.belowM - UNDER.thickM / 2], turn: UNTURNED }, [
    UNDER.wideM,
    UNDER.longM,
    UNDER.thickM,
  ]);
const THIGH_RADIUS_M = 0.075;
/** A thigh under a forearm, the knee toward the hand. */
export const thighUnder = (): Thing =>
  rod({ at: [0, UNDER.toM - UNDER.longM / 2, -UNDER.belowM - THIGH_RADIUS_M], turn: UNTURNED }, THIGH_RADIUS_M, UNDER.longM, 'cloth');

/** A hand beyond the edge of a table that the forearm lies on. */
export function overTheEdge({ course }: Making): Maker {
  return (beat) => ({ hands: [freeHand(course.poseAt(beat), 'ahead', LYING)], things: [tableUnder()] });
}
