import { type Sentence } from '../vocabulary/sentence.js';
import { counted } from '../vocabulary/text.js';
import { quantileSorted } from 'simple-statistics';
import { anglesFromStart, type AngleTrial, angleTrialOf, tiltsFromStart } from './angle-trial.js';
import { contractionsIn } from './contractions.js';
import { type CriticalForce, criticalForceOf, FEWEST_CONTRACTIONS } from './critical-force.js';
import { type DeviceKind, type DeviceSample, forceReader } from './device.js';
import { type PlatesSample, type PlatesTrial, platesTrialOf } from './plates-trial.js';
import type { Protocol } from './protocols.js';
import type { ForceSample, TraceFault } from './sample.js';
import { stretchesOf } from './stretches.js';
import { type Trace, traceOf } from './trace.js';
import { readingUnit } from '../vocabulary/measures.js';

/** How a trial is read off a device: one effort, an angle, weight on two plates, or the all-out test. */
export const TRIAL_SORTS = ['force', 'angle', 'plates', 'all-out'] as const;
/** How a trial is read off a device. */
export type TrialSort = (typeof TRIAL_SORTS)[number];

/** How a protocol’s trials are read off a device; null for what is timed, counted or held against a ruler. */
export function trialSortOf({ kind, of }: Pick<Protocol, 'kind' | 'of'>): TrialSort | null {
  if (kind === 'hand load') return 'plates';
  if (kind === 'critical force') return 'all-out';
  if (kind === 'maximum') return 'force';
  return readingUnit(kind, of) === '°' ? 'angle' : null;
}

/** The kind of device that measures a protocol. */
export function deviceKindOf(protocol: Pick<Protocol, 'kind' | 'of'>): DeviceKind {
  const sort = trialSortOf(protocol);
  if (sort === 'plates' || sort === 'angle') return sort;
  return protocol.of === 'edge pull' ? 'edge' : 'grip';
}

/** After so long at rest a trial is over, s: between the contractions of the all-out test lie three. */
export const OVER_AFTER_S: Readonly<Record<TrialSort, number>> = { force: 1, angle: 1, plates: 1, 'all-out': 8 };
/** Nothing goes on for longer, s. */
export const LASTS_AT_MOST_S: Readonly<Record<TrialSort, number>> = { force: 60, angle: 60, plates: 60, 'all-out': 330 };

/** Reads a device’s samples as they come into the one line that is drawn and watched: newtons, of plates both together, or degrees from the start. Null: the unit changed. */
export function lineReader(sort: TrialSort): (samples: readonly DeviceSample[]) => ForceSample[] | null {
  const angles = angleReader();
  const plates = platesReader();
  const forces = forceReader((channel) => channel === 'force');
  return (samples) => {
    switch (sort) {
      case 'angle':
        return angles(samples).map(({ tS, deg }) => ({ tS, valueN: deg }));
      case 'plates':
        return plates(samples)?.map(({ tS, leftN, rightN }) => ({ tS, valueN: leftN + rightN })) ?? null;
      default:
        return forces(samples);
    }
  };
}

/** Angle sensors tell their angle; phones how they lie, front to back and side to side, one after the other. */
function angleReader() {
  const fromStart = anglesFromStart();
  const tilted = tiltsFromStart();
  let beta: DeviceSample | undefined;
  return (samples: readonly DeviceSample[]) =>
    samples.flatMap((sample) => {
      if (sample.channel === 'angle') return [fromStart(sample.tS, sample.value)];
      if (sample.channel === 'beta') beta = sample;
      if (sample.channel !== 'gamma' || beta?.tS !== sample.tS) return [];
      return [tilted(sample.tS, { beta: beta.value, gamma: sample.value })];
    });
}

/** Plates tell the left, then the right, of each instant. Null: the unit changed. */
function platesReader() {
  const forces = forceReader((channel) => channel === 'left' || channel === 'right');
  let left: { readonly tS: number; readonly valueN: number } | undefined;
  return (samples: readonly DeviceSample[]): PlatesSample[] | null =>
    forces(samples)?.flatMap(({ tS, channel, valueN }) => {
      if (channel === 'left') left = { tS, valueN };
      if (channel !== 'right' || left?.tS !== tS) return [];
      return [{ tS, leftN: left.valueN, rightN: valueN }];
    }) ?? null;
}

/** The weight on each plate at the last instant of some samples. */
export const platesNow = (samples: readonly DeviceSample[]): PlatesSample | undefined => platesReader()(samples)?.at(-1);

/** What a trial on a device came to. */
export type TrialReport =
  | { readonly sort: 'force'; readonly trace: Trace }
  | { readonly sort: 'angle'; readonly angle: AngleTrial }
  | { readonly sort: 'plates'; readonly plates: PlatesTrial }
  | { readonly sort: 'all-out'; readonly test: AllOutTest };

/** The contractions of an all-out test, and what they tell where there are enough. */
export interface AllOutTest {
  /** Mean force of each, in order, N. */
  readonly contractionsN: readonly number[];
  readonly criticalForce: CriticalForce | null;
  readonly faults: readonly Sentence[];
}

/** What the samples of a trial come to. @example reportOf('angle', []).sort → 'angle' */
export function reportOf(sort: TrialSort, samples: readonly DeviceSample[]): TrialReport {
  switch (sort) {
    case 'plates':
      return { sort, plates: platesTrialOf(platesReader()(samples) ?? []) };
    case 'angle':
      return { sort, angle: angleTrialOf(angleReader()(samples)) };
    case 'force':
      return { sort, trace: traceOf(lineReader(sort)(samples) ?? []) };
    case 'all-out':
      return { sort, test: allOutOf(lineReader(sort)(samples) ?? []) };
  }
}

/** The all-out test from its forces. */
export function allOutOf(forces: readonly ForceSample[]): AllOutTest {
  const { faults, stretches } = stretchesOf(forces);
  return allOutFrom(contractionsIn(aboveRest(stretches.flat())), faults);
}

/** The all-out test from the mean force of each contraction, N. @example allOutFrom([300]).criticalForce → null */
export function allOutFrom(contractionsN: readonly number[], faults: readonly TraceFault[] = []): AllOutTest {
  const said = faults.map(({ text }) => text);
  if (contractionsN.length < FEWEST_CONTRACTIONS) {
    const found = `Found ${counted(contractionsN.length, 'contraction')}`;
    return { contractionsN, criticalForce: null, faults: [...said, `${found}; at least ${FEWEST_CONTRACTIONS} are needed.`] };
  }
  const criticalForce = criticalForceOf(contractionsN);
  return { contractionsN, criticalForce, faults: [...said, ...criticalForce.faults] };
}

/** Without what the gauge shows between the contractions. */
function aboveRest(samples: readonly ForceSample[]): ForceSample[] {
  if (samples.length === 0) return [];
  const sorted = samples.map(({ valueN }) => valueN).sort((a, b) => a - b);
  const [low, high] = [quantileSorted(sorted, 0.02), quantileSorted(sorted, 0.98)];
  const resting = sorted.filter((value) => value < low + 0.15 * (high - low));
  const restN = quantileSorted(resting.length > 0 ? resting : [low], 0.5);
  return samples.map(({ tS, valueN }) => ({ tS, valueN: valueN - restN }));
}

/** Faults of a trial, in words. */
export function faultsIn(report: TrialReport): readonly Sentence[] {
  switch (report.sort) {
    case 'force':
      return report.trace.faults.map(({ text }) => text);
    case 'angle':
      return report.angle.faults.map(({ text }) => text);
    case 'plates':
      return report.plates.faults.map(({ text }) => text);
    case 'all-out':
      return report.test.faults;
  }
}
