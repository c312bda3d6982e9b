import { linearRegression, linearRegressionLine, mean, standardDeviation } from 'simple-statistics';
import { working } from '../vocabulary/constant.js';
import { firstOf, itemAt, lastOf } from '../vocabulary/lists.js';
import type { ForceSample } from './sample.js';
import { runningSums, smoothed } from './smoothing.js';

const SMOOTH_OVER_S = 0.25;
const STEADY_WITHIN = working(
  'Plateau',
  0.08,
  'of its mean',
  'a held grip wanders by some percent; an overshoot at the start by more',
  [0.05, 0.12],
).value;
const SHORTEST_PLATEAU_S = 0.4;

/** The part of an effort that was held. */
export interface Held {
  readonly meanN: number;
  readonly fromS: number;
  readonly toS: number;
  readonly steadinessPercent: number;
}

/** The steadiest part of an effort's upper half, grown to both sides as far as it stays at that level. */
export function plateauOf(effort: readonly ForceSample[], peakN: number): Held | null {
  const slow = smoothed(effort, SMOOTH_OVER_S);
  const seconds = lastOf(slow).tS - firstOf(slow).tS;
  const windowS = Math.min(1, seconds / 2);
  if (windowS < SHORTEST_PLATEAU_S / 2) return null;
  const seed = steadiest(effort, slow, windowS, peakN / 2);
  if (!seed) return null;
  let [from, to] = seed;
  const level = mean(effort.slice(from, to + 1).map(({ valueN }) => valueN));
  const isAt = (index: number) => Math.abs((slow[index]?.valueN ?? Infinity) - level) <= STEADY_WITHIN * level;
  while (isAt(from - 1)) from--;
  while (isAt(to + 1)) to++;
  const [fromS, toS] = [itemAt(effort, from).tS, itemAt(effort, to).tS];
  // Smoothing draws the edges of rise and fall in: what lies within its window of them is left out.
  const inset = Math.min(SMOOTH_OVER_S, (toS - fromS) / 4);
  const inside = effort.filter(({ tS }) => tS >= fromS + inset && tS <= toS - inset);
  if (toS - fromS < SHORTEST_PLATEAU_S || inside.length < 3) return null;
  const values = inside.map(({ valueN }) => valueN);
  const line = linearRegressionLine(linearRegression(inside.map(({ tS, valueN }) => [tS - fromS, valueN])));
  const meanN = mean(values);
  const rest = inside.map(({ tS, valueN }) => valueN - line(tS - fromS));
  return { meanN, fromS, toS, steadinessPercent: (100 * standardDeviation(rest)) / meanN };
}

function steadiest(effort: readonly ForceSample[], slow: readonly ForceSample[], windowS: number, leastN: number): [number, number] | null {
  let best: [number, number] | null = null;
  let least = Infinity;
  let to = 0;
  const sums = runningSums(slow);
  for (let from = 0; from < effort.length; from++) {
    while (to < effort.length - 1 && itemAt(effort, to).tS - itemAt(effort, from).tS < windowS) to++;
    if (itemAt(effort, to).tS - itemAt(effort, from).tS < 0.95 * windowS) break;
    const count = to - from + 1;
    const average = (itemAt(sums, to + 1)[0] - itemAt(sums, from)[0]) / count;
    const spread = (itemAt(sums, to + 1)[1] - itemAt(sums, from)[1]) / count - average ** 2;
    if (average < leastN || spread / average ** 2 >= least) continue;
    least = spread / average ** 2;
    best = [from, to];
  }
  return best;
}
