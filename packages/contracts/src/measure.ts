import {
  type Action,
  ACTION_NAMES,
  ALL_OUT,
  between,
  day,
  FEWEST_CONTRACTIONS,
  FORCE_UNITS,
  type ForceUnit,
  list,
  record,
} from '@clay-pot/core';
import { IsBetween, IsWord } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

export type { CriticalForceAnswer, TraceAnswer, TrendAnswer } from '@clay-pot/core/answers';

const TIME = { min: -1e12, max: 1e12, step: 0.0001, unit: 's' } as const;
/** Far beyond any gauge for hands: what is above is no reading. */
const FORCE = { min: -100_000, max: 100_000, step: 0.01, unit: 'N' } as const;
const RANGE = { min: 1, max: 100_000, step: 1, unit: 'N' } as const;
/** A minute at a thousand values a second. */
export const MOST_SAMPLES = 60_000;

const SAMPLE = record({ tS: between(TIME, 'Time, s'), valueN: between(FORCE, 'Force, N') }, { what: 'a sample' });

/** A force over time, and what is known of the gauge. */
export class TraceQuestion {
  @IsDocument(list(SAMPLE, { max: MOST_SAMPLES }))
  readonly samples: readonly { readonly tS: number; readonly valueN: number }[];
  /** The unit that `valueN` and `rangeN` really are in, where it is not the newton; answers are in newtons. */
  @OptionalField()
  @IsWord(FORCE_UNITS)
  readonly unit?: ForceUnit;
  /** The end of the gauge’s range. */
  @OptionalField()
  @IsBetween(RANGE)
  readonly rangeN?: number;
  /** What was measured: a force that fits another unit is asked about. */
  @OptionalField()
  @IsWord(ACTION_NAMES)
  readonly of?: Action;
}

const VALUE = { min: -1e6, max: 1e6, step: 0.0001, unit: 'of what was measured' } as const;
/** So many readings are ten years of fortnights. */
const MOST_READINGS = 260;
const DATED = record({ onDay: day('Day'), value: between(VALUE, 'Value') }, { what: 'a reading' });

/** Values on days, and a goal in the same unit. */
export class TrendQuestion {
  @IsDocument(list(DATED, { max: MOST_READINGS }))
  readonly readings: readonly { readonly onDay: string; readonly value: number }[];
  @OptionalField()
  @IsBetween(VALUE, 'Goal')
  readonly goal?: number;
}

const CONTRACTION = { min: 0, max: 2000, step: 0.1, unit: 'N' } as const;
const SECONDS = { min: 1, max: 60, step: 0.1, unit: 's' } as const;
const MOST_CONTRACTIONS = 60;

/** Mean forces of an all-out test’s contractions, in order. */
export class CriticalForceQuestion {
  @IsDocument(
    list(between(CONTRACTION, 'Mean force, N'), {
      min: FEWEST_CONTRACTIONS,
      max: MOST_CONTRACTIONS,
      what: `the mean forces of ${FEWEST_CONTRACTIONS} to ${MOST_CONTRACTIONS} contractions; the test has ${ALL_OUT.contractions}`,
    }),
  )
  readonly contractionsN: readonly number[];
  /** How long each lasted; the test’s 7 s where it is left out. */
  @OptionalField()
  @IsBetween(SECONDS)
  readonly workS?: number;
}
