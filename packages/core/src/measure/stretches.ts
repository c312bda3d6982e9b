import { median } from 'simple-statistics';
import { working } from '../vocabulary/constant.js';
import { firstOf, itemAt, lastOf } from '../vocabulary/lists.js';
import { type ForceSample, secondsText, type TraceFault } from './sample.js';

/** Nothing for longer than this, and for longer than several of its own steps, is a lost connection. */
const GAP = working(
  'Gap of a signal',
  0.25,
  's',
  'radios of force gauges send ten to two hundred times a second; a quarter of a second hides an onset',
  [0.15, 0.5],
);
const GAP_STEPS = 6;
/** A connection that is lost for longer ends the trial anyway: such a step is the clock's. */
const CLOCK_STEP = working('Clock step', 10, 's', 'longer than any gap within a trial; a clock that is reset jumps by minutes', [5, 60]);
/** Faster than this nothing of a hand changes. */
const MOST_PER_SECOND = 500;
const FLOOD_PER_SECOND = 2 * MOST_PER_SECOND;

/** A signal cut where its clock or its connection failed. */
export interface Stretches {
  readonly stretches: readonly (readonly ForceSample[])[];
  readonly faults: readonly TraceFault[];
}

/** Cuts a signal where time goes back, leaps, or nothing came; what comes faster than a hand can change is averaged. */
export function stretchesOf(samples: readonly ForceSample[]): Stretches {
  if (samples.length < 2) return { stretches: samples.length ? [samples] : [], faults: [] };
  const steps = samples.slice(1).map(({ tS }, index) => tS - itemAt(samples, index).tS);
  const forward = steps.filter((step) => step > 0);
  const usual = forward.length ? median(forward) : 0;
  const gap = Math.max(GAP.value, GAP_STEPS * usual);
  const faults: TraceFault[] = [];
  const stretches: ForceSample[][] = [[firstOf(samples)]];
  steps.forEach((step, index) => {
    const [before, now] = [itemAt(samples, index), itemAt(samples, index + 1)];
    const fault = brokenStep(step, gap, before.tS, now.tS);
    if (fault) {
      faults.push(fault);
      stretches.push([]);
    }
    stretches.at(-1)?.push(now);
  });
  if (usual > 0 && 1 / usual > FLOOD_PER_SECOND) {
    const [first, last] = [firstOf(samples).tS, lastOf(samples).tS];
    const text = `${Math.round(1 / usual)} values per second: averaged to ${MOST_PER_SECOND}.`;
    faults.push({ kind: 'flooded', fromS: Math.min(first, last), toS: Math.max(first, last), text });
    return { stretches: stretches.map((stretch) => averaged(stretch, 1 / MOST_PER_SECOND)), faults };
  }
  return { stretches, faults };
}

function brokenStep(step: number, gap: number, fromS: number, toS: number): TraceFault | null {
  if (step < 0 || step > CLOCK_STEP.value) {
    const text = `The device’s clock jumped from ${secondsText(fromS)} to ${secondsText(toS)}. The trial is kept on one side of the jump.`;
    return { kind: 'clock jump', fromS: Math.min(fromS, toS), toS: Math.max(fromS, toS), text };
  }
  if (step <= gap) return null;
  const text = `No data from the device for ${secondsText(step)}. The trial is kept on one side of the gap.`;
  return { kind: 'lost connection', fromS, toS, text };
}

/** Means over bins of time, each at its middle. */
function averaged(samples: readonly ForceSample[], binS: number): ForceSample[] {
  const bins: ForceSample[] = [];
  let [start, sum, sumT, count] = [samples[0]?.tS ?? 0, 0, 0, 0];
  const close = () => {
    if (count) bins.push({ tS: sumT / count, valueN: sum / count });
  };
  for (const { tS, valueN } of samples) {
    if (tS - start >= binS) {
      close();
      [start, sum, sumT, count] = [tS, 0, 0, 0];
    }
    sum += valueN;
    sumT += tS;
    count++;
  }
  close();
  return bins;
}
