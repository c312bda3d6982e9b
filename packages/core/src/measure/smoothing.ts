import { median, medianAbsoluteDeviation } from 'simple-statistics';
import { firstOf, itemAt, lastOf } from '../vocabulary/lists.js';
import type { ForceSample } from './sample.js';

/** Sums of values and of their squares up to before each sample: means over any window by two look-ups. */
export const runningSums = (samples: readonly ForceSample[]): (readonly [number, number])[] => {
  const sums: (readonly [number, number])[] = [[0, 0]];
  for (const { valueN } of samples) {
    const [sum, squares] = lastOf(sums);
    sums.push([sum + valueN, squares + valueN ** 2]);
  }
  return sums;
};

/** What makes the median deviation of a normal spread its standard deviation. */
const NORMAL = 1.4826;
/** Standard deviation of what most values do, whatever a few do. */
export const robustSd = (values: number[]): number => NORMAL * medianAbsoluteDeviation(values);

const SPIKE = 8;

/** Without single samples that stand out from both their neighbours far beyond what the signal trembles by: no hand is so quick. */
export function despiked(samples: readonly ForceSample[]): ForceSample[] {
  const middle = samples.map((sample, index) => {
    const [before, after] = [samples[index - 1], samples[index + 1]];
    return before && after ? median([before.valueN, sample.valueN, after.valueN]) : sample.valueN;
  });
  const off = samples.map(({ valueN }, index) => valueN - itemAt(middle, index));
  // In a signal without noise nothing is an outlier.
  const trembles = off.map(Math.abs).filter((each) => each > 0);
  const most = trembles.length > 0 ? SPIKE * NORMAL * median([0, ...trembles]) : Infinity;
  return samples.map((sample, index) => (Math.abs(itemAt(off, index)) > most ? { tS: sample.tS, valueN: itemAt(middle, index) } : sample));
}

/** Means over a window of time around each sample; at the ends over as much as there is to both sides. */
export function smoothed(samples: readonly ForceSample[], overS: number): ForceSample[] {
  const sums = runningSums(samples);
  const [first, last] = [firstOf(samples).tS, lastOf(samples).tS];
  let [from, to] = [0, 0];
  return samples.map(({ tS }) => {
    const half = Math.min(overS / 2, tS - first, last - tS) + 1e-9;
    while (itemAt(samples, from).tS < tS - half) from++;
    while (to + 1 < samples.length && itemAt(samples, to + 1).tS <= tS + half) to++;
    while (itemAt(samples, to).tS > tS + half) to--;
    while (from > 0 && itemAt(samples, from - 1).tS >= tS - half) from--;
    return { tS, valueN: (itemAt(sums, to + 1)[0] - itemAt(sums, from)[0]) / (to + 1 - from) };
  });
}
