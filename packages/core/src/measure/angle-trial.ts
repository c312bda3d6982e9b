import { mean } from 'simple-statistics';
import { firstOf, lastOf } from '../vocabulary/lists.js';
import type { ForceSample, TraceFault } from './sample.js';
import { smoothed } from './smoothing.js';
import { stretchesOf } from './stretches.js';
import { frozenIn } from './stuck.js';

/** An angle at an instant, degrees. */
export interface AngleSample {
  readonly tS: number;
  readonly deg: number;
}

/** What a sensor tells of how far a joint went. */
export interface AngleTrial {
  /** The furthest that was kept for half a second, from where it began; null where it did not move. */
  readonly deg: number | null;
  readonly faults: readonly TraceFault[];
}

/** An overshoot that is not kept for so long is no range. */
const KEPT_S = 0.5;
/** Less is no motion, degrees. */
const LEAST_DEG = 3;

/**
 * How far a joint went from where it began, from the samples of one trial. @param angles measured from the start, whatever the direction, in their order
 * @example angleTrialOf([]).deg → null
 */
export function angleTrialOf(angles: readonly AngleSample[]): AngleTrial {
  // Signals are looked over by one room of the house, whatever they measure.
  const values = angles.map(({ tS, deg }): ForceSample => ({ tS, valueN: deg }));
  const { stretches, faults } = stretchesOf(values);
  const most = Math.max(...stretches.map((stretch) => keptMost(stretch)), 0);
  const frozen = values.length > 2 ? frozenIn(values, Math.max(LEAST_DEG, most / 2)) : [];
  const stuck = frozen.filter(({ kind }) => kind === 'stuck value');
  if (most >= LEAST_DEG) return { deg: most, faults: [...faults, ...stuck] };
  const [fromS, toS] = [values[0]?.tS ?? 0, values.at(-1)?.tS ?? 0];
  const text = 'The sensor didn’t move. Start straight, go as far as possible, hold for a second, come back.';
  return { deg: null, faults: [...faults, { kind: 'no effort', fromS, toS, text }] };
}

function keptMost(stretch: readonly ForceSample[]): number {
  if (stretch.length < 3 || lastOf(stretch).tS - firstOf(stretch).tS < KEPT_S) return 0;
  return smoothed(stretch, KEPT_S).reduce((most, { valueN }) => Math.max(most, valueN), 0);
}

/** How a phone lies, by its own sensor: front to back and side to side, degrees (W3C Device Orientation: beta, gamma). */
export interface Tilt {
  readonly beta: number;
  readonly gamma: number;
}

const RAD = Math.PI / 180;
type Vector = readonly [number, number, number];
/** Which way is up, as the phone sees it: the third row of its rotation, which no compass has a part in. */
const upOf = ({ beta, gamma }: Tilt): Vector => [
  -Math.cos(beta * RAD) * Math.sin(gamma * RAD),
  Math.sin(beta * RAD),
  Math.cos(beta * RAD) * Math.cos(gamma * RAD),
];
const dot = (a: Vector, b: Vector) => a[0] * b[0] + a[1] * b[1] + a[2] * b[2];

/**
 * How far a phone was turned between two moments, degrees, 0–180, by what it feels of gravity: about any level axis, however it is held or strapped on. A turn
 * about the upright axis is not felt, so the hand has to move in an upright plane.
 * @example tiltBetween({ beta: 0, gamma: 0 }, { beta: 70, gamma: 0 }) ≈ 70
 */
export const tiltBetween = (from: Tilt, to: Tilt): number => Math.acos(Math.min(1, Math.max(-1, dot(upOf(from), upOf(to))))) / RAD;

/** Where a trial begins is the mean of so long, s. */
const ZERO_OVER_S = 0.3;

/** Tells whether a trial is still at its start. */
function starting(): (tS: number) => boolean {
  let startS: number | undefined;
  return (tS) => tS - (startS ??= tS) <= ZERO_OVER_S;
}

/** Reads angles from where each trial began: the first third of a second is zero. */
export function anglesFromStart(): (tS: number, deg: number) => AngleSample {
  const isStart = starting();
  const first: number[] = [];
  let zero = 0;
  return (tS, deg) => {
    if (isStart(tS)) {
      first.push(deg);
      zero = mean(first);
    }
    return { tS, deg: Math.abs(deg - zero) };
  };
}

/** Reads turns of a phone from where the trial began. */
export function tiltsFromStart(): (tS: number, tilt: Tilt) => AngleSample {
  const isStart = starting();
  let count = 0;
  let sum: Tilt = { beta: 0, gamma: 0 };
  return (tS, tilt) => {
    if (isStart(tS)) {
      count++;
      sum = { beta: sum.beta + tilt.beta, gamma: sum.gamma + tilt.gamma };
    }
    return { tS, deg: tiltBetween({ beta: sum.beta / count, gamma: sum.gamma / count }, tilt) };
  };
}
