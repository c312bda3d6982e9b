import { linearRegression, median, quantileSorted } from 'simple-statistics';
import type { Action } from '../vocabulary/actions.js';
import { working } from '../vocabulary/constant.js';
import { firstOf, itemAt, lastOf } from '../vocabulary/lists.js';
import { type Held, plateauOf } from './plateau.js';
import type { ForceSample, TraceFault } from './sample.js';
import { despiked, robustSd, smoothed } from './smoothing.js';
import { stretchesOf } from './stretches.js';
import { frozenIn } from './stuck.js';
import { unitDoubt } from './unit-doubt.js';

/** What a force over time tells of one effort. Null is what the signal does not tell. */
export interface Trace {
  /** When the force rose and stayed up, on the device's clock. */
  readonly onsetS: number | null;
  /** When it had fallen again; the end of the signal where it did not. */
  readonly endS: number | null;
  /** Highest mean over a tenth of a second, above rest. */
  readonly peakN: number | null;
  /** Mean of the stretch that was held, above rest. */
  readonly plateauN: number | null;
  /** From when to when it was held. */
  readonly plateauFromS: number | null;
  readonly plateauToS: number | null;
  /** Slope of the rise between a fifth and four fifths of what was held. */
  readonly rateNPerS: number | null;
  /** Coefficient of variation while it was held, its straight trend taken out: the smaller, the steadier. */
  readonly steadinessPercent: number | null;
  /** Force over time of the whole effort. */
  readonly impulseNs: number | null;
  /** What the gauge showed at rest; taken off all forces. */
  readonly restN: number;
  /** The part of the signal that all this is of. */
  readonly keptFromS: number;
  readonly keptToS: number;
  readonly faults: readonly TraceFault[];
}

/** What may be known beside the signal. */
export interface TraceContext {
  /** The end of the device's range, N. */
  readonly rangeN?: number;
  /** What was measured: a force that fits another unit better is asked about. */
  readonly of?: Action;
}

const PEAK_OVER_S = 0.1;
const ONSET_SD = 5;
const ONSET_SHARE = working(
  'Onset',
  0.02,
  'of the peak',
  'above the gauge’s noise and below what a hand does by accident',
  [0.01, 0.05],
).value;
const STAYS_DOWN_S = 0.15;
const RISE_BEGINS_S = 0.06;
const FURTHEST_BACK_S = 0.3;
/** Noise alone spans some six of its own standard deviations. */
const EFFORT_TREMORS = 8;
/** Less than this is no effort of a hand, N. */
const LEAST_EFFORT_N = 2;
const NOT_ZERO_SHARE = 0.03;

/**
 * Onset, peak, plateau, rate of rise and steadiness of one effort, from the samples of a force gauge in the order in which they came. What is wrong
 * with the signal is said in `faults`; the numbers are of the part that is good.
 * @example traceOf([]).faults[0].kind → 'no effort'
 */
export function traceOf(samples: readonly ForceSample[], context: TraceContext = {}): Trace {
  const cut = stretchesOf(samples);
  const best = despiked(bestOf(cut.stretches));
  const faults: TraceFault[] = [...cut.faults];
  if (best.length < 3) return nothing(samples, faults);
  const levels = levelsOf(best);
  const frozen = frozenIn(best, levels.restN + 0.1 * levels.heightN, context.rangeN);
  faults.push(...frozen);
  const stuck = frozen.find(({ kind }) => kind === 'stuck value');
  const kept = stuck ? best.filter(({ tS }) => tS <= stuck.fromS) : best;
  const trace = effortIn(kept, stuck ? levelsOf(kept) : levels, faults);
  const doubt = context.of && trace.peakN !== null ? unitDoubt(context.of, trace.peakN) : null;
  if (!doubt) return trace;
  const fault: TraceFault = { kind: 'wrong unit', fromS: trace.keptFromS, toS: trace.keptToS, text: doubt.text };
  return { ...trace, faults: [...trace.faults, fault] };
}

/** A shorter part that begins at rest is worth more than a longer one that does not: it has the onset. */
const WORTH_ITS_ONSET = 0.4;

/** Of the parts of a broken signal the one that has the effort in it, with its onset if it can be. */
function bestOf(stretches: readonly (readonly ForceSample[])[]): readonly ForceSample[] {
  const works = stretches.map(workOf);
  const most = works.reduce((best, each) => Math.max(best, each), 0);
  const beginsAtRest = (stretch: readonly ForceSample[]) => {
    const [low, high] = extremes(stretch);
    return stretch.length > 2 && firstOf(stretch).valueN < low + 0.2 * (high - low);
  };
  const whole = stretches.find((stretch, index) => itemAt(works, index) >= WORTH_ITS_ONSET * most && beginsAtRest(stretch));
  return whole ?? stretches.find((_stretch, index) => itemAt(works, index) === most) ?? [];
}

/** Spread of force over time: of several stretches the one with the effort in it has most. */
function workOf(samples: readonly ForceSample[]): number {
  if (samples.length < 2) return 0;
  const floor = Math.min(...extremes(samples));
  return areaOf(samples, floor);
}

const extremes = (samples: readonly ForceSample[]) => {
  let [low, high] = [Infinity, -Infinity];
  for (const { valueN } of samples) {
    if (valueN < low) low = valueN;
    if (valueN > high) high = valueN;
  }
  return [low, high] as const;
};

const areaOf = (samples: readonly ForceSample[], aboveN: number) =>
  samples.slice(1).reduce((sum, { tS, valueN }, index) => {
    const before = itemAt(samples, index);
    return sum + (tS - before.tS) * ((valueN + before.valueN) / 2 - aboveN);
  }, 0);

interface Levels {
  readonly restN: number;
  readonly noiseN: number;
  readonly heightN: number;
  /** Whether the signal began before the effort. */
  readonly isFromRest: boolean;
}

/** What the gauge shows at rest before the effort, how much that trembles, and how high the effort goes above it. */
function levelsOf(samples: readonly ForceSample[]): Levels {
  const sorted = samples.map(({ valueN }) => valueN).sort((a, b) => a - b);
  const low = quantileSorted(sorted, 0.03);
  const high = extremes(smoothed(samples, PEAK_OVER_S))[1];
  const risen = samples.findIndex(({ valueN }) => valueN > low + 0.2 * (high - low));
  const before = samples.slice(0, Math.max(0, risen));
  // The last part before the rise may belong to a slow one.
  const last = before.at(-1)?.tS ?? 0;
  const early = before.filter(({ tS }) => tS <= last - 0.2);
  const quiet = (early.length >= 5 ? early : before).map(({ valueN }) => valueN);
  const heightOver = (restN: number) => high - restN;
  if (quiet.length < 3) {
    // Near nothing is rest, though the signal began loaded.
    const restN = Math.abs(low) < 0.15 * (high - low) ? low : 0;
    return { restN, noiseN: tremorOf(samples), heightN: heightOver(restN), isFromRest: false };
  }
  const restN = median(quiet);
  return { restN, noiseN: robustSd(quiet), heightN: heightOver(restN), isFromRest: true };
}

/** How much neighbouring values differ by chance, as a standard deviation. */
const tremorOf = (samples: readonly ForceSample[]) =>
  robustSd(samples.slice(1).map(({ valueN }, index) => valueN - itemAt(samples, index).valueN)) / Math.SQRT2;

function effortIn(kept: readonly ForceSample[], levels: Levels, before: readonly TraceFault[]): Trace {
  const { restN, noiseN, heightN, isFromRest } = levels;
  const force = kept.map(({ tS, valueN }) => ({ tS, valueN: valueN - restN }));
  const short = smoothed(force, PEAK_OVER_S);
  const peak = short.reduce((most, sample) => (sample.valueN > most.valueN ? sample : most), firstOf(short));
  const [keptFromS, keptToS] = [firstOf(kept).tS, lastOf(kept).tS];
  const tremorN = tremorOf(kept);
  const lowest = Math.min(...extremes(short));
  if (-lowest > Math.max(LEAST_EFFORT_N, 1.5 * peak.valueN, ONSET_SD * tremorN)) {
    const text = 'The force went mostly below zero. Turn the gauge round, or pull the other way.';
    const fault: TraceFault = { kind: 'wrong way', fromS: keptFromS, toS: keptToS, text };
    return { ...NOTHING, restN, keptFromS, keptToS, faults: [...before, fault] };
  }
  if (peak.valueN < Math.max(LEAST_EFFORT_N, ONSET_SD * noiseN) || heightN < EFFORT_TREMORS * tremorN) {
    return { ...nothing(kept, before), restN };
  }
  const span = spanOf(force, short.indexOf(peak), Math.max(ONSET_SD * noiseN, ONSET_SHARE * peak.valueN));
  const effort = force.slice(span.fromIndex, span.toIndex + 1);
  const held = plateauOf(effort, peak.valueN);
  const hasOnset = isFromRest && span.fromIndex > 0;
  return {
    ...heldAs(held),
    onsetS: hasOnset ? span.onsetS : null,
    endS: span.endS,
    peakN: peak.valueN,
    rateNPerS: hasOnset ? rateOf(force, span.fromIndex, held?.meanN ?? peak.valueN) : null,
    impulseNs: areaOf(effort, 0),
    restN,
    keptFromS,
    keptToS,
    faults: [...before, ...faultsOfEffort(span, { restN, peak, hasOnset, isHeld: held !== null, keptFromS })],
  };
}

const heldAs = (held: Held | null) => ({
  plateauN: held?.meanN ?? null,
  plateauFromS: held?.fromS ?? null,
  plateauToS: held?.toS ?? null,
  steadinessPercent: held?.steadinessPercent ?? null,
});

interface Window {
  readonly restN: number;
  readonly peak: ForceSample;
  readonly hasOnset: boolean;
  readonly isHeld: boolean;
  readonly keptFromS: number;
}

/** What is to be said of an effort that was found. */
function faultsOfEffort({ onsetS, endS }: Span, { restN, peak, hasOnset, isHeld, keptFromS }: Window): TraceFault[] {
  const faults: TraceFault[] = [];
  if (Math.abs(restN) > Math.max(LEAST_EFFORT_N, NOT_ZERO_SHARE * peak.valueN)) {
    const text = `The gauge read ${restN.toFixed(1)} N before the effort; this was subtracted.`;
    faults.push({ kind: 'not zeroed', fromS: keptFromS, toS: peak.tS, text });
  }
  if (!hasOnset) {
    const text = 'The effort started before the signal: its start and speed are unknown.';
    faults.push({ kind: 'began loaded', fromS: keptFromS, toS: keptFromS, text });
  }
  if (!isHeld) {
    const text = 'The effort was too short. Hold for three seconds.';
    faults.push({ kind: 'too short', fromS: onsetS, toS: endS, text });
  }
  return faults;
}

const NOTHING = {
  onsetS: null,
  endS: null,
  peakN: null,
  plateauN: null,
  plateauFromS: null,
  plateauToS: null,
  rateNPerS: null,
  steadinessPercent: null,
  impulseNs: null,
} as const;

function nothing(samples: readonly ForceSample[], faults: readonly TraceFault[]): Trace {
  const [keptFromS, keptToS] = [samples[0]?.tS ?? 0, samples.at(-1)?.tS ?? 0];
  const fault: TraceFault = {
    kind: 'no effort',
    fromS: keptFromS,
    toS: keptToS,
    text: 'No effort found. Start at rest, squeeze, hold and let go.',
  };
  return { ...NOTHING, restN: 0, keptFromS, keptToS, faults: [...faults, fault] };
}

interface Span {
  readonly fromIndex: number;
  readonly toIndex: number;
  readonly onsetS: number;
  readonly endS: number;
}

/** The effort that the peak belongs to: back to where the force had stayed down, forward to where it is down again. */
function spanOf(force: readonly ForceSample[], top: number, threshold: number): Span {
  const isDownBefore = (index: number) => {
    const since = itemAt(force, index).tS - STAYS_DOWN_S;
    for (let at = index; at >= 0 && itemAt(force, at).tS >= since; at--) {
      if (itemAt(force, at).valueN > threshold) return false;
    }
    return true;
  };
  let from = top;
  while (from > 0 && !isDownBefore(from - 1)) from--;
  let to = top;
  const isDownAfter = (index: number) => {
    const until = itemAt(force, index).tS + STAYS_DOWN_S;
    for (let at = index; at < force.length && itemAt(force, at).tS <= until; at++) {
      if (itemAt(force, at).valueN > threshold) return false;
    }
    return true;
  };
  while (to < force.length - 1 && !isDownAfter(to)) to++;
  return { fromIndex: from, toIndex: to, onsetS: onsetAt(force, from, threshold), endS: itemAt(force, to).tS };
}

/** Where the line of the rise’s beginning leaves nothing: between the samples, and before the threshold was crossed. */
function onsetAt(force: readonly ForceSample[], from: number, threshold: number): number {
  const [before, first] = [force[from - 1], itemAt(force, from)];
  if (!before) return first.tS;
  const crossed = before.tS + ((first.tS - before.tS) * (threshold - before.valueN)) / (first.valueN - before.valueN);
  const start = force.slice(from).filter(({ tS }) => tS <= first.tS + RISE_BEGINS_S);
  const slope =
    start.length >= 4
      ? linearRegression(start.map(({ tS, valueN }) => [tS - first.tS, valueN])).m
      : (first.valueN - before.valueN) / (first.tS - before.tS);
  const back = slope > 0 ? Math.min(threshold / slope, FURTHEST_BACK_S) : 0;
  return crossed - back;
}

/** Slope of the line through the rise between a fifth and four fifths of a level; by its two ends where too little lies between. */
function rateOf(force: readonly ForceSample[], from: number, levelN: number): number | null {
  const high = force.findIndex(({ valueN }, index) => index >= from && valueN >= 0.8 * levelN);
  if (high < 0) return null;
  const low = force.findLastIndex(({ valueN }, index) => index < high && valueN <= 0.2 * levelN);
  const rise = force.slice(Math.max(0, low), high + 1);
  if (rise.length >= 5) return linearRegression(rise.map(({ tS, valueN }) => [tS - firstOf(rise).tS, valueN])).m;
  const [a, b] = [rise[0], rise.at(-1)];
  return a && b && b.tS > a.tS ? (b.valueN - a.valueN) / (b.tS - a.tS) : null;
}
