import type { ForceSample } from './sample.js';

/** Below this share of what was seen the hand has let go. */
const LET_GO_SHARE = 0.1;
/** At rest for so long after an effort, a trial is over, where nothing else is said. */
const OVER_AFTER_S = 1;
/** Less is no effort, N. */
const LEAST_N = 10;

/** What is remembered of a signal while it comes: enough to know whether its effort is over, however long it is. */
export interface EffortWatch {
  readonly mostN: number;
  /** When it was last up, and last heard of, on the device’s clock. */
  readonly lastUpS: number;
  readonly lastS: number;
}

/** Nothing was seen yet. */
export const NOTHING_SEEN: EffortWatch = { mostN: 0, lastUpS: -Infinity, lastS: -Infinity };

/** What is remembered after some more samples. */
export function watched(before: EffortWatch, samples: readonly ForceSample[]): EffortWatch {
  let { mostN, lastUpS, lastS } = before;
  for (const { tS, valueN } of samples) {
    mostN = Math.max(mostN, valueN);
    if (valueN > LET_GO_SHARE * mostN) lastUpS = tS;
    lastS = tS;
  }
  return { mostN, lastUpS, lastS };
}

/** Whether there was an effort and the hand has rested since. @example isEffortOver(NOTHING_SEEN) → false */
export const isEffortOver = ({ mostN, lastUpS, lastS }: EffortWatch, afterS: number = OVER_AFTER_S): boolean =>
  mostN >= LEAST_N && lastS - lastUpS >= afterS;
