import { RAD } from './plane.js';
import { working } from '../vocabulary/constant.js';
import { GRAVITY } from '../vocabulary/gravity.js';

/**
 * Moment that a weight in the hand makes about the wrist: `m g d cos(angle)`, d from wrist to the weight, the angle of the hand above level.
 * @example weightMomentNm(5, 0.08, 0) ≈ 3.92
 */
export const weightMomentNm = (massKg: number, leverM: number, angleDeg = 0) => massKg * GRAVITY * leverM * Math.cos(angleDeg * RAD);

/**
 * The weight that makes a moment: the inverse of `weightMomentNm`. @example weightForMomentKg(3.92, 0.08) ≈ 5.0
 * @throws RangeError where the lever stands upright and no weight does
 */
export function weightForMomentKg(momentNm: number, leverM: number, angleDeg = 0): number {
  const perKg = weightMomentNm(1, leverM, angleDeg);
  if (!(perKg > 1e-9)) throw new RangeError('leverM: an upright or zero lever makes no torque; use more than 0 m, below 90°.');
  return momentNm / perKg;
}

/**
 * The lever that makes a moment with a weight. @example leverForMomentM(3.92, 5) ≈ 0.08
 * @throws RangeError for no weight
 */
export function leverForMomentM(momentNm: number, massKg: number, angleDeg = 0): number {
  const perMetre = weightMomentNm(massKg, 1, angleDeg);
  if (!(perMetre > 1e-9)) throw new RangeError('massKg: no weight makes no torque; use more than 0 kg, below 90°.');
  return momentNm / perMetre;
}

/** A wrist roller: a rope winds on a drum and lifts a weight. */
export interface Roller {
  readonly drumRadiusM: number;
  readonly massKg: number;
  readonly ropeM: number;
}

/**
 * What winding the rope all the way up takes: moment on both hands, turns, and work.
 * @example rollerWork({ drumRadiusM: 0.016, massKg: 5, ropeM: 1.1 }).turns ≈ 10.9
 * @throws RangeError for a size of zero or less
 */
export function rollerWork({ drumRadiusM, massKg, ropeM }: Roller) {
  for (const [field, value] of Object.entries({ drumRadiusM, massKg, ropeM })) {
    if (!(value > 0)) throw new RangeError(`${field}: must be more than 0, not ${value}.`);
  }
  return {
    momentNm: massKg * GRAVITY * drumRadiusM,
    turns: ropeM / (2 * Math.PI * drumRadiusM),
    workJ: massKg * GRAVITY * ropeM,
  };
}

/** Walking pace with a load in the hands, m/s. */
export const CARRY_PACE_M_PER_S = working('Pace of a carry', 1.2, 'm/s', 'somewhat slower than a free walk', [0.9, 1.5]).value;

/**
 * Seconds that a carried distance takes. @example carryTimeS(30) ≈ 25
 * @throws RangeError for a distance or pace that is not more than zero
 */
export function carryTimeS(distanceM: number, paceMPerS = CARRY_PACE_M_PER_S): number {
  if (!(distanceM > 0)) throw new RangeError(`distanceM: must be more than 0 m, not ${distanceM}.`);
  if (!(paceMPerS > 0)) throw new RangeError(`paceMPerS: must be more than 0 m/s, not ${paceMPerS}.`);
  return distanceM / paceMPerS;
}

/** Metres that are carried in a time. @example carryDistanceM(25) ≈ 30 */
export const carryDistanceM = (timeS: number, paceMPerS = CARRY_PACE_M_PER_S) => timeS * paceMPerS;
