import { mean, standardDeviation } from 'simple-statistics';
import { itemAt } from '../vocabulary/lists.js';
import type { ForceSample, TraceFault } from './sample.js';
import { stretchesOf } from './stretches.js';

/** What both plates showed at an instant, N. */
export interface PlatesSample {
  readonly tS: number;
  readonly leftN: number;
  readonly rightN: number;
}

/** Weight on each hand while it was steady. */
export interface Split {
  readonly leftN: number;
  readonly rightN: number;
  /** The left hand’s part of both, percent. */
  readonly leftPercent: number;
  readonly fromS: number;
  readonly toS: number;
}

/** What a pair of plates tells of a trial. */
export interface PlatesTrial {
  readonly split: Split | null;
  readonly faults: readonly TraceFault[];
}

/** The mean is taken over so long where it was steady, and over no less than the other. */
const OVER_S = 5;
const SHORTEST_S = 2;
/** Steadiness is only looked for where this share of the most was on the hands. */
const LOADED_SHARE = 0.7;
/** Less on both is nobody, N. */
const LEAST_N = 20;

/** How weight was shared by the hands, from the steadiest five seconds under load. @example platesTrialOf([]).split → null */
export function platesTrialOf(samples: readonly PlatesSample[]): PlatesTrial {
  const both = samples.map(({ tS, leftN, rightN }): ForceSample => ({ tS, valueN: leftN + rightN }));
  const { faults, stretches } = stretchesOf(both);
  const mostN = both.reduce((most, { valueN }) => Math.max(most, valueN), 0);
  const loaded = stretches.flatMap((stretch) => loadedParts(stretch, LOADED_SHARE * mostN));
  const windows = loaded.flatMap((part) => windowsOf(part));
  const steadiest = windows.reduce<Window | null>((best, each) => (best && best.spread <= each.spread ? best : each), null);
  if (mostN < LEAST_N || !steadiest) {
    const [fromS, toS] = [both[0]?.tS ?? 0, both.at(-1)?.tS ?? 0];
    const text =
      mostN < LEAST_N ? 'Nobody stood on the plates.' : `The weight wasn’t held for ${SHORTEST_S} s. Lean on, stay, then lift off.`;
    return { split: null, faults: [...faults, { kind: 'too short', fromS, toS, text }] };
  }
  const { fromS, toS } = steadiest;
  const inside = samples.filter(({ tS }) => tS >= fromS && tS <= toS);
  const [leftN, rightN] = [mean(inside.map((each) => each.leftN)), mean(inside.map((each) => each.rightN))];
  return { split: { leftN, rightN, leftPercent: (100 * leftN) / (leftN + rightN), fromS, toS }, faults };
}

/** Parts of a signal that stay above a force, without their first and last fifth of a second: getting on and off. */
function loadedParts(samples: readonly ForceSample[], aboveN: number): ForceSample[][] {
  const parts: ForceSample[][] = [];
  let open: ForceSample[] = [];
  for (const sample of [...samples, { tS: Infinity, valueN: -Infinity }]) {
    if (sample.valueN >= aboveN) open.push(sample);
    else if (open.length > 0) {
      const [from, to] = [itemAt(open, 0).tS + GETTING_ON_S, (open.at(-1)?.tS ?? 0) - GETTING_ON_S];
      parts.push(open.filter(({ tS }) => tS >= from && tS <= to));
      open = [];
    }
  }
  return parts;
}
const GETTING_ON_S = 0.2;

interface Window {
  readonly fromS: number;
  readonly toS: number;
  readonly spread: number;
}

/** Stretches of a part that a mean could be taken over, every tenth of a second one: five seconds, or all of a shorter part. */
function windowsOf(part: readonly ForceSample[]): Window[] {
  const [firstS, lastS] = [part[0]?.tS ?? 0, part.at(-1)?.tS ?? 0];
  const lengthS = Math.min(OVER_S, lastS - firstS);
  if (lengthS < SHORTEST_S) return [];
  const windows: Window[] = [];
  for (let fromS = firstS; fromS + lengthS <= lastS + 1e-9; fromS += STEP_S) {
    const values = part.filter(({ tS }) => tS >= fromS && tS <= fromS + lengthS).map(({ valueN }) => valueN);
    windows.push({ fromS, toS: fromS + lengthS, spread: standardDeviation(values) / mean(values) });
  }
  return windows;
}
const STEP_S = 0.25;
