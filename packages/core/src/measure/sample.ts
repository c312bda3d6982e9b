import { type Sentence } from '../vocabulary/sentence.js';
/** One value of a device at an instant. `tS` runs on the device's own clock, in seconds; where it begins does not matter. */
export interface ForceSample {
  readonly tS: number;
  readonly valueN: number;
}

/** What can be wrong with a signal; each is said, and the trial is kept as far as it is good. */
export const TRACE_FAULTS = {
  'lost connection': 'no data from the device',
  'clock jump': 'the device’s clock jumped',
  'stuck value': 'the device kept repeating one value',
  'over range': 'the device was at the end of its range',
  flooded: 'more data than needed; it was averaged',
  'wrong unit': 'the numbers don’t fit their unit',
  'not zeroed': 'the device didn’t read zero before the effort',
  'wrong way': 'the force went the other way',
  'began loaded': 'the effort started before the signal',
  'no effort': 'no effort found',
  'too short': 'the effort was too short to be steady',
} as const;
/** What was wrong. */
export type TraceFaultKind = keyof typeof TRACE_FAULTS;

/** One thing that was wrong, when, and what it means for the trial. */
export interface TraceFault {
  readonly kind: TraceFaultKind;
  readonly fromS: number;
  readonly toS: number;
  readonly text: Sentence;
}

/** Seconds as they are said. @example secondsText(3.14159) → '3.14 s' */
export const secondsText = (seconds: number): string => `${seconds.toFixed(2)} s`;
