import { medianAbsoluteDeviation } from 'simple-statistics';
import { working } from '../vocabulary/constant.js';
import { itemAt } from '../vocabulary/lists.js';
import { type ForceSample, secondsText, type TraceFault } from './sample.js';

const STUCK_FOR = working('Stuck for', 0.4, 's', 'a hand that holds still still trembles: eight to twelve times a second', [0.25, 1]);
const FEWEST = 8;
/** Gauges with coarse steps repeat values by chance: a run must be this many times as long as chance makes them. */
const BEYOND_CHANCE = 3;

/** Samples from one index to another, both included, that have the very same value. */
interface Run {
  readonly from: number;
  readonly to: number;
  readonly valueN: number;
}

/** Where a signal under load repeats one value for longer than a living hand and this gauge's steps would. */
export interface Frozen extends TraceFault {
  readonly kind: 'stuck value' | 'over range';
}

/**
 * Finds values that were repeated under load: at the very top of what was seen, and left again, the device was at the end of its range; anywhere else
 * it was stuck. A signal without noise is no hand’s; nothing can be said about it.
 * @param aboveN values below it are rest, where gauges stand still rightly
 * @param rangeN the end of the device's range, where it is known
 */
export function frozenIn(samples: readonly ForceSample[], aboveN: number, rangeN?: number): Frozen[] {
  const loaded = samples.filter(({ valueN }) => valueN > aboveN);
  if (loaded.length < FEWEST) return [];
  const runs = runsOf(samples).filter(({ valueN }) => valueN > aboveN);
  const top = runs.reduce((most, { valueN }) => Math.max(most, valueN), -Infinity);
  const atEnd = (run: Run) => (rangeN === undefined ? run.valueN === top && run.to < samples.length - 1 : run.valueN >= rangeN * 0.999);
  const long = runs.filter((run) => {
    const seconds = itemAt(samples, run.to).tS - itemAt(samples, run.from).tS;
    return seconds >= STUCK_FOR.value && run.to - run.from + 1 >= FEWEST;
  });
  return long
    .filter((run) => isBeyondChance(samples, run, runs))
    .map((run) => {
      const [fromS, toS] = [itemAt(samples, run.from).tS, itemAt(samples, run.to).tS];
      return atEnd(run)
        ? {
            kind: 'over range',
            fromS,
            toS,
            text: `From ${secondsText(fromS)}, the device was at the end of its range, ${run.valueN.toFixed(0)} N: the true force was higher.`,
          }
        : {
            kind: 'stuck value',
            fromS,
            toS,
            text: `From ${secondsText(fromS)}, the device kept repeating ${run.valueN.toFixed(1)} N. The trial is kept up to there.`,
          };
    });
}

function runsOf(samples: readonly ForceSample[]): Run[] {
  const runs: Run[] = [];
  let from = 0;
  for (let index = 1; index <= samples.length; index++) {
    const valueN = itemAt(samples, from).valueN;
    if (index < samples.length && itemAt(samples, index).valueN === valueN) continue;
    runs.push({ from, to: index - 1, valueN });
    from = index;
  }
  return runs;
}

/** Whether the rest of the signal is alive enough that such a run is no chance. */
function isBeyondChance(samples: readonly ForceSample[], run: Run, runs: readonly Run[]): boolean {
  const others = runs.filter((other) => other !== run && other.valueN !== run.valueN);
  const count = others.reduce((sum, { from, to }) => sum + to - from + 1, 0);
  if (count < FEWEST) return false;
  // A straight ramp has no noise; a hand's has, at every speed.
  const bends = others.flatMap(({ from }) => (from >= 2 ? [bendAt(samples, from)] : []));
  if (medianAbsoluteDeviation(bends) <= run.valueN * 1e-7) return false;
  const repeats = Math.max(0.02, 1 - others.length / count);
  return run.to - run.from + 1 > (BEYOND_CHANCE * Math.log(samples.length)) / -Math.log(repeats);
}

const bendAt = (samples: readonly ForceSample[], at: number) =>
  itemAt(samples, at).valueN - 2 * itemAt(samples, at - 1).valueN + itemAt(samples, at - 2).valueN;
