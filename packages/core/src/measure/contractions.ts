import { mean } from 'simple-statistics';
import { ALL_OUT } from './critical-force.js';
import type { ForceSample } from './sample.js';

/** Below this share of the best force the hand rests between contractions. */
const REST_SHARE = 0.15;
/** A rest shorter than this is a slip, not a rest. */
const SHORTEST_REST_S = 1;
/** What is shorter is no contraction. */
const SHORTEST_WORK_S = 2;

/** Mean force of each contraction of an all-out test, in order, found by the rests between them. @param samples forces above rest */
export function contractionsIn(samples: readonly ForceSample[]): number[] {
  const best = samples.reduce((most, { valueN }) => Math.max(most, valueN), 0);
  const threshold = best * REST_SHARE;
  const parts: ForceSample[][] = [];
  let current: ForceSample[] = [];
  let lastUpS = -Infinity;
  for (const sample of samples) {
    if (sample.valueN <= threshold) continue;
    if (sample.tS - lastUpS > SHORTEST_REST_S && current.length > 0) {
      parts.push(current);
      current = [];
    }
    current.push(sample);
    lastUpS = sample.tS;
  }
  if (current.length > 0) parts.push(current);
  return parts
    .filter((part) => (part.at(-1)?.tS ?? 0) - (part[0]?.tS ?? 0) >= SHORTEST_WORK_S)
    .map((part) => mean(part.map(({ valueN }) => valueN)))
    .slice(0, ALL_OUT.contractions);
}
