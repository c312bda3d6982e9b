import { headLine, type Joints } from '../mechanics/masses.js';
import { along, minus, plus, point, type Point, RAD, turn } from '../mechanics/plane.js';
import type { Segments } from '../mechanics/segments.js';
import type { SupportPosture } from '../model/posture.js';
import type { Contact, Facing } from '../vocabulary/contacts.js';

/** One arm in the plane of the drawing; the hand's own joints follow from its shape. */
export interface ArmPose {
  readonly elbow: Point;
  readonly wrist: Point;
  /** Direction from wrist to knuckles, radians from the x axis. */
  readonly palmRad: number;
}

/** Where a leg’s joints are. */
export interface LegPose {
  readonly knee: Point;
  readonly ankle: Point;
  readonly heel: Point;
  readonly ball: Point;
  readonly toe: Point;
}

/** A body as it is drawn: every joint in the sagittal plane, metres, y up. The near side is drawn last. */
export interface BodyPose {
  readonly vertex: Point;
  readonly chin: Point;
  readonly shoulder: Point;
  readonly hip: Point;
  readonly near: { readonly arm: ArmPose; readonly leg: LegPose };
  readonly far: { readonly arm: ArmPose; readonly leg: LegPose };
  /** +1 when the front of the body lies on the left of the line from shoulder to hip, −1 on its right, 0 when it faces the viewer. */
  readonly front: 1 | -1 | 0;
  readonly hand: HandSide;
}

/** How the hand is drawn from the side. */
export interface HandSide {
  readonly contact: Contact;
  readonly facing: Facing;
  /** Palm against the surface, degrees. */
  readonly pitchDeg: number;
}

/** Heel behind the ankle, and toes beyond the ball, as shares of the foot's length. */
const HEEL_BEHIND = 0.25;
const TOES_BEYOND = 0.27;

/** Foot whose sole passes `down` below the ankle and points along `forward`. */
function footOf({ foot, ankleHeightM, ankleToBallM }: Segments, ankle: Point, forward: Point, toesAlong = forward): Omit<LegPose, 'knee'> {
  const down = turn(forward, -Math.PI / 2);
  const sole = plus(ankle, scaled(down, ankleHeightM));
  const ball = plus(sole, scaled(forward, ankleToBallM));
  return {
    ankle,
    heel: plus(sole, scaled(forward, -HEEL_BEHIND * foot.lengthM)),
    ball,
    toe: plus(ball, scaled(toesAlong, TOES_BEYOND * foot.lengthM)),
  };
}

const scaled = ({ x, y }: Point, by: number): Point => ({ x: x * by, y: y * by });
const unit = (vector: Point): Point => scaled(vector, 1 / Math.sqrt(vector.x ** 2 + vector.y ** 2));
/** The unit vector of an angle in radians. */
export const direction = (rad: number): Point => point(Math.cos(rad), Math.sin(rad));

/** The pose of a computed posture on the hands: the joints are the ones that the load was computed from. */
export function supportPose(segments: Segments, posture: SupportPosture, joints: Joints, handPitchDeg: number): BodyPose {
  const { hip, shoulder, elbow, wrist, knee, ankle } = joints;
  const { chin, vertex } = headLine(segments, joints);
  const foot = supportFoot(segments, posture, joints);
  const palmRad = palmDirection(posture, handPitchDeg);
  // On the forearms the elbow stands and the forearm lies forward.
  const arm: ArmPose =
    posture.contact === 'none' ? { elbow, wrist: plus(elbow, point(segments.forearm.lengthM, 0)), palmRad: 0 } : { elbow, wrist, palmRad };
  const leg: LegPose = { knee, ...foot };
  const idle = posture.leftShare === 0 || posture.leftShare === 1;
  const { upperArm, forearm } = segments;
  const alongTrunk = unit(minus(hip, shoulder));
  const resting: ArmPose = {
    elbow: plus(shoulder, scaled(alongTrunk, upperArm.lengthM)),
    wrist: plus(shoulder, scaled(alongTrunk, upperArm.lengthM + forearm.lengthM)),
    palmRad: Math.atan2(alongTrunk.y, alongTrunk.x),
  };
  const front = posture.face === 'side' ? 0 : posture.face === 'back' ? -1 : 1;
  const hand = { contact: posture.contact, facing: posture.facing, pitchDeg: handPitchDeg };
  return {
    vertex,
    chin,
    shoulder,
    hip,
    near: { arm, leg },
    far: { arm: idle ? resting : arm, leg: { ...leg, ankle } },
    front,
    hand,
  };
}

function supportFoot(segments: Segments, { support, shanks }: SupportPosture, { contact, knee, ankle }: Joints): Omit<LegPose, 'knee'> {
  const leg = unit(minus(ankle, knee));
  switch (support) {
    case 'toes': {
      const forward = turn(leg, Math.PI / 2);
      return { ...footOf(segments, ankle, forward, point(1, 0)), ball: contact };
    }
    case 'feet on wall': {
      const forward = turn(leg, Math.PI / 2);
      return { ...footOf(segments, ankle, forward, leg), ball: contact };
    }
    case 'soles':
      return footOf(segments, ankle, point(1, 0));
    case 'heels':
      return footOf(segments, ankle, turn(leg, -Math.PI / 2));
    case 'side of feet':
      return footOf(segments, ankle, turn(leg, Math.PI / 2));
    case 'knees':
      // Kneeling, the instep lies on the floor and the toes point back; lifted shanks carry a loose foot.
      return footOf(segments, ankle, shanks === 'lifted' ? turn(leg, 0.35) : turn(leg, 0.12));
    case 'none':
      return footOf(segments, ankle, turn(leg, 0.2));
  }
}

/** Where the palm points in the side view; toward the viewer it is drawn short, so its own direction does not matter. */
function palmDirection({ surface, facing, contact }: SupportPosture, pitchDeg: number): number {
  const base = surface === 'wall' ? Math.PI / 2 : 0;
  if (contact === 'fist' || contact === 'handle' || contact === 'edge') return base - Math.PI / 2;
  const toward = facing === 'backward' ? Math.PI : 0;
  const tip = (contact === 'none' ? 0 : pitchDeg) * RAD;
  return base + (toward ? toward + tip : -tip);
}

/** Angles of a free arm: the upper arm from hanging toward the front, the elbow's bend, the hand against the forearm. Degrees. */
export interface ArmAngles {
  readonly shoulderDeg: number;
  readonly elbowDeg: number;
  /** Extension (+) or flexion (−) as it shows in the side view with the palm down. */
  readonly wristDeg: number;
}

/** An arm by its angles, from the shoulder on. */
export function armFrom({ upperArm, forearm }: Segments, shoulder: Point, { shoulderDeg, elbowDeg, wristDeg }: ArmAngles): ArmPose {
  const upper = (shoulderDeg - 90) * RAD;
  const lower = upper + elbowDeg * RAD;
  const elbow = plus(shoulder, scaled(direction(upper), upperArm.lengthM));
  const wrist = plus(elbow, scaled(direction(lower), forearm.lengthM));
  return { elbow, wrist, palmRad: lower + wristDeg * RAD };
}

/** An arm that brings its hand to a place, elbow down; as near as it reaches. */
export function armTo({ upperArm, forearm }: Segments, shoulder: Point, wrist: Point, palmRad: number): ArmPose {
  const to = minus(wrist, shoulder);
  const away = Math.sqrt(to.x ** 2 + to.y ** 2);
  const reach = Math.min(away, (upperArm.lengthM + forearm.lengthM) * 0.999);
  const at = away === reach ? wrist : plus(shoulder, scaled(unit(to), reach));
  const foot = (reach ** 2 + upperArm.lengthM ** 2 - forearm.lengthM ** 2) / (2 * reach);
  const height = Math.sqrt(Math.max(0, upperArm.lengthM ** 2 - foot ** 2));
  const u = unit(to);
  const elbow = plus(shoulder, plus(scaled(u, foot), scaled(point(u.y, -u.x), height)));
  return { elbow, wrist: at, palmRad };
}

/** Bodies that do not rest on their hands. */
export type FreeStance = 'standing' | 'folded' | 'seated' | 'lying' | 'hanging' | 'hanging, feet down';

/** Seat height over stature; bar height above the shoulders is the arms' length. */
const SEAT = 0.27;

/** Where a trunk points that hangs in a forward fold, radians from the level. */
const FOLD_RAD = -1.15;

/** Trunk, head and legs of a body that stands, sits, lies or hangs; the arms are set by the caller. */
export function freeTrunk(
  segments: Segments,
  stance: FreeStance,
  statureM: number,
): Pick<BodyPose, 'vertex' | 'chin' | 'shoulder' | 'hip'> & { leg: LegPose; farLeg: LegPose } {
  const { trunk, thigh, shank, ankleHeightM } = segments;
  const legLength = thigh.lengthM + shank.lengthM;
  const flat = point(1, 0);
  const upright = (hip: Point, lean = 2 * RAD) => {
    const shoulder = plus(hip, scaled(direction(Math.PI / 2 - lean), trunk.lengthM));
    return { hip, shoulder, ...headOf(segments, hip, shoulder) };
  };
  const bent = (hip: Point, thighRad: number, shankRad: number, forward: Point): LegPose => {
    const knee = plus(hip, scaled(direction(thighRad), thigh.lengthM));
    const ankle = plus(knee, scaled(direction(shankRad), shank.lengthM));
    return { knee, ...footOf(segments, ankle, forward) };
  };
  const down = -Math.PI / 2;
  switch (stance) {
    case 'standing': {
      const hip = point(0, ankleHeightM + legLength);
      const leg = bent(hip, down + 0.03, down - 0.04, flat);
      return { ...upright(hip), leg, farLeg: bent(hip, down + 0.09, down - 0.02, flat) };
    }
    case 'folded': {
      // Hips back over the heels, knees soft, the trunk hanging down along the thighs.
      const hip = point(-0.08, (ankleHeightM + legLength) * 0.97);
      const shoulder = plus(hip, scaled(direction(FOLD_RAD), trunk.lengthM));
      const leg = bent(hip, down + 0.22, down - 0.1, flat);
      return { hip, shoulder, ...headOf(segments, hip, shoulder), leg, farLeg: bent(hip, down + 0.26, down - 0.08, flat) };
    }
    case 'seated': {
      const hip = point(0, SEAT * statureM);
      const leg = bent(hip, 0.02, down, flat);
      return { ...upright(hip), leg, farLeg: bent(hip, 0.02, down + 0.12, flat) };
    }
    case 'lying': {
      const hip = point(0, 0.11);
      const shoulder = point(-trunk.lengthM, 0.1);
      const leg = bent(hip, 0.75, -1.05, flat);
      return { hip, shoulder, ...headOf(segments, hip, shoulder), leg, farLeg: bent(hip, 0.85, -1, flat) };
    }
    case 'hanging':
    case 'hanging, feet down': {
      const feetDown = stance === 'hanging, feet down';
      const hip = point(0, feetDown ? (ankleHeightM + legLength) * 0.86 : ankleHeightM + legLength + 0.22);
      const leg = feetDown ? bent(hip, down + 0.55, down - 0.55, flat) : bent(hip, down + 0.04, down - 0.06, direction(-0.9));
      const farLeg = feetDown ? bent(hip, down + 0.6, down - 0.5, flat) : bent(hip, down + 0.1, down, direction(-0.9));
      return { ...upright(hip, 0), leg, farLeg };
    }
  }
}

function headOf({ neckM, head, trunk }: Segments, hip: Point, shoulder: Point) {
  const beyond = (metres: number) => along(hip, shoulder, 1 + metres / trunk.lengthM);
  return { chin: beyond(neckM), vertex: beyond(neckM + head.lengthM) };
}
