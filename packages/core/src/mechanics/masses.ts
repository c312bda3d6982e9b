import { along, point, type Point } from './plane.js';
import type { Segments } from './segments.js';
import type { SupportPosture } from '../model/posture.js';

/** The joints of a body in the sagittal plane. Origin: the floor under the wrists. Metres. */
export interface Joints {
  /** Where the support's force acts: under the knee, at the ball of the foot, the ankle or the heel. */
  readonly contact: Point;
  readonly ankle: Point;
  readonly knee: Point;
  readonly hip: Point;
  readonly shoulder: Point;
  readonly elbow: Point;
  readonly wrist: Point;
  /** Where the hands' force acts. */
  readonly pressure: Point;
}

/** A mass at a point: a segment at its centre. */
export interface MassPoint {
  readonly massKg: number;
  readonly at: Point;
}

/** The line of neck and head continues the trunk's. */
export function headLine({ neckM, head, trunk }: Segments, { hip, shoulder }: Joints): { chin: Point; vertex: Point } {
  const beyond = (metres: number) => along(hip, shoulder, 1 + metres / trunk.lengthM);
  return { chin: beyond(neckM), vertex: beyond(neckM + head.lengthM) };
}

/**
 * Every segment as a mass at its centre. What lies on the floor by itself (resting shanks; forearms in a forearm support) carries itself and is left out,
 * as is nothing else: the arms count. A hand that bears nothing lies with its arm along the trunk.
 */
export function massPoints(segments: Segments, posture: SupportPosture, joints: Joints): MassPoint[] {
  const { head, trunk, upperArm, forearm, hand, thigh, shank, foot } = segments;
  const { hip, shoulder, elbow, wrist, pressure, knee, ankle } = joints;
  const { vertex, chin } = headLine(segments, joints);
  const bearing = posture.leftShare === 0 || posture.leftShare === 1 ? 1 : 2;
  const points: MassPoint[] = [
    { massKg: head.massKg, at: along(vertex, chin, head.comFraction) },
    { massKg: trunk.massKg, at: along(shoulder, hip, trunk.comFraction) },
    { massKg: upperArm.massKg * bearing, at: along(shoulder, elbow, upperArm.comFraction) },
    { massKg: thigh.massKg * 2, at: along(hip, knee, thigh.comFraction) },
  ];
  if (posture.contact !== 'none') {
    points.push({ massKg: forearm.massKg * bearing, at: along(elbow, wrist, forearm.comFraction) });
    points.push({ massKg: hand.massKg * bearing, at: point(pressure.x, pressure.y) });
  }
  if (bearing === 1) {
    const arm = upperArm.massKg + forearm.massKg + hand.massKg;
    points.push({ massKg: arm, at: along(shoulder, hip, (upperArm.lengthM * 0.9) / trunk.lengthM) });
  }
  if (posture.support !== 'knees' || posture.shanks === 'lifted') {
    const toes = posture.support === 'knees' || posture.support === 'none' ? ankle : joints.contact;
    points.push({ massKg: shank.massKg * 2, at: along(knee, ankle, shank.comFraction) });
    points.push({ massKg: foot.massKg * 2, at: along(ankle, toes, 0.5) });
  }
  return points;
}

/** Where the masses balance. */
export function centreOfMass(points: readonly MassPoint[]): Point {
  let [mass, x, y] = [0, 0, 0];
  for (const { massKg, at } of points) {
    mass += massKg;
    x += massKg * at.x;
    y += massKg * at.y;
  }
  return { x: x / mass, y: y / mass };
}
