import { must } from '../vocabulary/lists.js';
import { handGeometry, type HandGeometry, wristHeight } from './hand-contact.js';
import { lowerLink, type LowerLink } from './lower-link.js';
import { centreOfMass, type Joints, massPoints } from './masses.js';
import { angleAtDeg, chord, corner, distance, minus, plus, point, type Point, RAD, toDeg, turn } from './plane.js';
import { cm, tooFar, tooHigh, tooNear } from './reach-errors.js';
import { bisect, rootsIn, sampleRuns } from './root.js';
import { type Segments, shoulderHeightM } from './segments.js';
import { POSTURE_LIMITS, PostureError, type SupportPosture } from '../model/posture.js';

/** Where the joints are when a posture closes over its supports. */
export interface ClosedChain {
  readonly joints: Joints;
  readonly hand: HandGeometry;
  readonly leanDeg: number;
  readonly hipAngleDeg: number;
  readonly distanceM: number;
}

/**
 * Closes the chain from the support to the hands: knees or feet, hip, shoulder, wrist.
 * @throws PostureError when it cannot close, naming what is too short and the nearest value that works.
 */
export function closeChain(segments: Segments, posture: SupportPosture): ClosedChain {
  const arm = armLength(segments, posture);
  if (posture.support === 'none') return overHands(segments, posture, arm);
  const { leanDeg, hipAngleDeg, distanceM } = posture;
  if (leanDeg === 'square') {
    if (hipAngleDeg !== undefined) return squareArms(segments, posture, arm, hipAngleDeg);
    return squareAt(segments, posture, arm, must(distanceM, DISTANCE));
  }
  if (leanDeg !== undefined) {
    const wrist = wristPoint(segments, posture);
    const shoulder = plus(wrist, armVector(posture, arm, leanDeg * RAD));
    if (hipAngleDeg !== undefined && distanceM !== undefined) {
      return upTheWall(segments, posture, wrist, shoulder, hipAngleDeg, distanceM);
    }
    return hipAngleDeg !== undefined
      ? fromHipAngle(segments, posture, wrist, shoulder, hipAngleDeg)
      : fromDistance(segments, posture, wrist, shoulder, must(distanceM, DISTANCE));
  }
  return fromHipAngleAndDistance(segments, posture, arm, must(hipAngleDeg, HIP_ANGLE), must(distanceM, DISTANCE));
}

// What `checkPosture` sees to, and what a closed chain has.
const DISTANCE = 'a distance in a posture that leaves the hip angle or the lean open';
const HIP_ANGLE = 'a hip angle in a posture that leaves the lean open';
const HIP = 'a hip between ends that the chain reaches';

/** Shoulder to wrist with the elbow bent; on the forearms, shoulder to elbow. */
function armLength({ upperArm, forearm }: Segments, { contact, elbowBendDeg }: SupportPosture): number {
  if (contact === 'none') return upperArm.lengthM;
  return chord(upperArm.lengthM, forearm.lengthM, 180 - elbowBendDeg);
}

function armVector({ surface }: SupportPosture, arm: number, lean: number): Point {
  const [out, off] = [arm * Math.sin(lean), arm * Math.cos(lean)];
  return surface === 'wall' ? point(-off, out) : point(out, off);
}

/** The surface under the hands above the floor, or where on a wall they are, metres. */
export const handHeight = (segments: Segments, { handHeightM }: Pick<SupportPosture, 'handHeightM'>) =>
  handHeightM === 'shoulder height' ? shoulderHeightM(segments) : handHeightM;

function wristPoint(segments: Segments, posture: SupportPosture): Point {
  const height = wristHeight(segments, posture);
  const handHeightM = handHeight(segments, posture);
  return posture.surface === 'wall' ? point(-height, handHeightM) : point(0, handHeightM + height);
}

const frontOf = (posture: SupportPosture) => (posture.face === 'back' ? -1 : 1);

/** Hip between the support's joint and the shoulder: up when the front looks down, down when it looks up. */
function hipBetween(posture: SupportPosture, joint: Point, shoulder: Point, link: LowerLink, trunk: number): Point | null {
  return frontOf(posture) > 0 ? corner(joint, shoulder, link.lengthM, trunk) : corner(shoulder, joint, trunk, link.lengthM);
}

const linkAngle = (hipAngleDeg: number, link: LowerLink) => hipAngleDeg - link.offsetDeg;

function fromHipAngle(segments: Segments, posture: SupportPosture, wrist: Point, shoulder: Point, hipAngleDeg: number): ClosedChain {
  const link = lowerLink(segments, posture);
  const span = chord(link.lengthM, segments.trunk.lengthM, linkAngle(hipAngleDeg, link));
  const jointY = posture.supportHeightM + link.riseM;
  const rise = shoulder.y - jointY;
  if (Math.abs(rise) > span) throw tooHigh(posture, link, rise, span);
  const joint = point(shoulder.x - Math.sqrt(span * span - rise * rise), jointY);
  return finish(segments, posture, { wrist, shoulder, joint, link });
}

/** Feet on a wall at a distance from the hands: they slide to where the straight or bent body reaches it. */
function upTheWall(
  segments: Segments,
  posture: SupportPosture,
  wrist: Point,
  shoulder: Point,
  hipAngleDeg: number,
  distanceM: number,
): ClosedChain {
  const link = lowerLink(segments, posture);
  const span = chord(link.lengthM, segments.trunk.lengthM, linkAngle(hipAngleDeg, link));
  const away = shoulder.x - (wrist.x - distanceM);
  if (Math.abs(away) > span) throw tooFar(posture, link, wrist.x - shoulder.x + span);
  const joint = point(wrist.x - distanceM, shoulder.y + Math.sqrt(span * span - away * away));
  return finish(segments, posture, { wrist, shoulder, joint, link });
}

function fromDistance(segments: Segments, posture: SupportPosture, wrist: Point, shoulder: Point, distanceM: number): ClosedChain {
  const link = lowerLink(segments, posture);
  const joint = point(wrist.x - distanceM, posture.supportHeightM + link.riseM);
  const span = distance(joint, shoulder);
  const rise = shoulder.y - joint.y;
  const longest = chord(link.lengthM, segments.trunk.lengthM, linkAngle(POSTURE_LIMITS.hipAngleDeg.max, link));
  const shortest = chord(link.lengthM, segments.trunk.lengthM, linkAngle(POSTURE_LIMITS.hipAngleDeg.min, link));
  const distanceFor = (reach: number) => wrist.x - shoulder.x + Math.sqrt(Math.max(0, reach * reach - rise * rise));
  if (span > longest + 1e-12) {
    if (Math.abs(rise) > longest) throw tooHigh(posture, link, rise, longest);
    throw tooFar(posture, link, distanceFor(longest));
  }
  if (span < shortest) {
    throw tooNear(posture, link, distanceFor(shortest));
  }
  return finish(segments, posture, { wrist, shoulder, joint, link });
}

function fromHipAngleAndDistance(
  segments: Segments,
  posture: SupportPosture,
  arm: number,
  hipAngleDeg: number,
  distanceM: number,
): ClosedChain {
  const link = lowerLink(segments, posture);
  const span = chord(link.lengthM, segments.trunk.lengthM, linkAngle(hipAngleDeg, link));
  const wrist = wristPoint(segments, posture);
  const joint = point(wrist.x - distanceM, posture.supportHeightM + link.riseM);
  const shoulder = corner(joint, wrist, span, arm);
  if (!shoulder) {
    const rise = wrist.y - joint.y;
    const reach = span + arm;
    const nearest = Math.sqrt(Math.max(0, distanceM > span ? reach * reach - rise * rise : (span - arm) ** 2 - rise * rise));
    if (distanceM > span) throw tooFar(posture, link, nearest, 'arms, trunk and ');
    throw new PostureError('distanceM', `The arms are too short to reach back: they need at least ${cm(nearest)}.`, nearest);
  }
  return finish(segments, posture, { wrist, shoulder, joint, link });
}

function squareArms(segments: Segments, posture: SupportPosture, arm: number, hipAngleDeg: number): ClosedChain {
  const link = lowerLink(segments, posture);
  const trunk = segments.trunk.lengthM;
  const span = chord(link.lengthM, trunk, linkAngle(hipAngleDeg, link));
  const wrist = wristPoint(segments, posture);
  // In the body's own frame: support's joint at the origin, shoulder on the x axis. Then turn it until the wrist has its height.
  const shoulderAt = point(span, 0);
  const hipAt = must(hipBetween(posture, point(0, 0), shoulderAt, link, trunk), HIP);
  const along = minus(shoulderAt, hipAt);
  const down = turn(along, (-frontOf(posture) * Math.PI) / 2);
  const wristAt = plus(shoulderAt, point((down.x / trunk) * arm, (down.y / trunk) * arm));
  const reach = distance(point(0, 0), wristAt);
  const jointY = posture.supportHeightM + link.riseM;
  const rise = wrist.y - jointY;
  if (Math.abs(rise) > reach) throw tooHigh(posture, link, rise, reach);
  const by = Math.asin(rise / reach) - Math.atan2(wristAt.y, wristAt.x);
  const [shoulderTurned, wristTurned] = [turn(shoulderAt, by), turn(wristAt, by)];
  const joint = point(wrist.x - wristTurned.x, jointY);
  return finish(segments, posture, { wrist, shoulder: plus(joint, shoulderTurned), joint, link });
}

/** Arms square to the trunk at a distance: the hip angle that gives it, of those at which the chain closes; the straightest of several. */
function squareAt(segments: Segments, posture: SupportPosture, arm: number, distanceM: number): ClosedChain {
  const { min, max } = POSTURE_LIMITS.hipAngleDeg;
  const reachAt = (deg: number): number | null => {
    try {
      return squareArms(segments, posture, arm, deg).distanceM;
    } catch (error) {
      if (error instanceof PostureError) return null;
      throw error;
    }
  };
  const runs = sampleRuns(reachAt, min, max, SQUARE_SAMPLES);
  const roots = rootsIn(runs, reachAt, distanceM);
  if (roots.length) return squareArms(segments, posture, arm, Math.max(...roots));
  // Where no hip angle closes the chain at all, the straight body says why.
  const reaches = runs.flat().map(({ y }) => y);
  if (!reaches.length) return squareArms(segments, posture, arm, max);
  const [nearest, furthest] = [Math.min(...reaches), Math.max(...reaches)];
  if (distanceM > furthest) throw tooFar(posture, lowerLink(segments, posture), furthest);
  throw tooNear(posture, lowerLink(segments, posture), nearest);
}
const SQUARE_SAMPLES = 24;

interface Found {
  readonly wrist: Point;
  readonly shoulder: Point;
  readonly joint: Point;
  readonly link: LowerLink;
}

/** From the ends of the chain to every joint. */
function finish(segments: Segments, posture: SupportPosture, { wrist, shoulder, joint, link }: Found): ClosedChain {
  const { thigh, shank, trunk, ankleHeightM } = segments;
  const hip = must(hipBetween(posture, joint, shoulder, link, trunk.lengthM), HIP);
  const contact = point(joint.x, joint.y - link.riseM);
  const front = frontOf(posture);
  const toJoint = minus(joint, hip);
  const legLine = turn(toJoint, -front * link.offsetDeg * RAD);
  const unit = point(legLine.x / link.lengthM, legLine.y / link.lengthM);
  const down = (length: number) => plus(hip, point(unit.x * length, unit.y * length));
  const knee = posture.support === 'knees' ? joint : down(thigh.lengthM);
  // Kneeling, the shanks lie behind the knees: flat on what the knees stand on, or held up behind.
  const behind = posture.shanks === 'lifted' ? turn(point(-1, 0), -40 * RAD) : point(-1, 0);
  const ankle =
    posture.support === 'knees'
      ? plus(
          joint,
          point(behind.x * shank.lengthM, behind.y * shank.lengthM + (posture.shanks === 'lifted' ? 0 : (ankleHeightM - link.riseM) * 0.6)),
        )
      : down(thigh.lengthM + shank.lengthM);
  const hipAngleDeg = angleAtDeg(hip, shoulder, knee);
  return assemble(segments, posture, { wrist, shoulder, hip, knee, ankle, contact }, hipAngleDeg);
}

/** Upside down on the hands alone: trunk and legs are turned about the shoulders until all weight stands over the centre of pressure. */
function overHands(segments: Segments, posture: SupportPosture, arm: number): ClosedChain {
  const { leanDeg, hipAngleDeg = POSTURE_LIMITS.hipAngleDeg.max } = posture;
  const lean = (leanDeg === undefined || leanDeg === 'square' ? 0 : leanDeg) * RAD;
  const wrist = wristPoint(segments, posture);
  const shoulder = plus(wrist, armVector(posture, arm, lean));
  const { trunk, thigh, shank } = segments;
  const turned = (by: number): ClosedChain => {
    const up = turn(point(0, 1), by);
    const leg = turn(up, (180 - hipAngleDeg) * RAD);
    const hip = plus(shoulder, point(up.x * trunk.lengthM, up.y * trunk.lengthM));
    const down = (length: number) => plus(hip, point(leg.x * length, leg.y * length));
    const ankle = down(thigh.lengthM + shank.lengthM);
    return assemble(segments, posture, { wrist, shoulder, hip, knee: down(thigh.lengthM), ankle, contact: ankle }, hipAngleDeg);
  };
  const off = (by: number) => {
    const chain = turned(by);
    return centreOfMass(massPoints(segments, posture, chain.joints)).x - chain.joints.pressure.x;
  };
  const by = bisect(off, -Math.PI / 2, Math.PI / 2);
  if (by === null) {
    throw new PostureError('leanDeg', 'The body can’t bring its weight over the hands in this position. Lean less.', 0);
  }
  return turned(by);
}

interface Ends {
  readonly wrist: Point;
  readonly shoulder: Point;
  readonly hip: Point;
  readonly knee: Point;
  readonly ankle: Point;
  readonly contact: Point;
}

function assemble(segments: Segments, posture: SupportPosture, ends: Ends, hipAngleDeg: number): ClosedChain {
  const { wrist, shoulder, hip, knee, ankle, contact } = ends;
  const wall = posture.surface === 'wall';
  const elbow = elbowBetween(segments, posture, wrist, shoulder);
  const forearm = minus(elbow, wrist);
  const hand = handGeometry(segments, posture, posture.contact === 'none' ? 0 : tiltOf(forearm, wall));
  const pressure = wall
    ? point(wrist.x + hand.wristHeightM, wrist.y + hand.copShiftM)
    : point(wrist.x + hand.copShiftM, wrist.y - hand.wristHeightM);
  return {
    joints: { contact, ankle, knee, hip, shoulder, elbow, wrist, pressure },
    hand,
    leanDeg: toDeg(tiltOf(minus(shoulder, wrist), wall)),
    hipAngleDeg,
    distanceM: wrist.x - contact.x,
  };
}

/** Lean of a line that rises from the hands, from the surface's normal and away from the support (up a wall), in radians. */
const tiltOf = (line: Point, wall: boolean) => (wall ? Math.atan2(line.y, -line.x) : Math.atan2(line.x, line.y));

/** The elbow gives way toward the feet, or away from them when the back looks down. On the forearms the elbow is what stands. */
function elbowBetween(segments: Segments, posture: SupportPosture, wrist: Point, shoulder: Point): Point {
  if (posture.contact === 'none') return wrist;
  const { upperArm, forearm } = segments;
  const bent = corner(wrist, shoulder, forearm.lengthM, upperArm.lengthM);
  const mirrored = corner(shoulder, wrist, upperArm.lengthM, forearm.lengthM);
  const elbow = posture.face === 'back' ? mirrored : bent;
  const share = forearm.lengthM / (forearm.lengthM + upperArm.lengthM);
  return elbow ?? plus(wrist, point((shoulder.x - wrist.x) * share, (shoulder.y - wrist.y) * share));
}
