import { sum, sumNthPowerDeviations } from 'simple-statistics';
import { published, working } from '../vocabulary/constant.js';
import { isSome } from '../vocabulary/lists.js';
import { NINETEEN_IN_TWENTY, RANGE_ERROR_DEG } from '../mechanics/capacity.js';
import type { Measured } from './measured.js';
import { newtonsFromKg } from '../vocabulary/gravity.js';

const TWO_READINGS = Math.SQRT2;
/** From so many repeats on a coach's own error is better known than the usual one: its own error is then within a quarter either way. */
export const OWN_REPEATS_FROM = 8;

/** Smallest change of a reading that is spoken of as real before a coach's own repeats tell; by what is measured. */
const USUAL_CHANGE = {
  grip: published(
    'Smallest important change of grip',
    newtonsFromKg(5),
    'N',
    'Bohannon 2019, J Phys Ther Sci 31:75–8: 5.0–6.5 kg',
    'lower end',
  ),
  force: working('Usual error of a force', 0.19, 'of the reading', '1.96 · √2 · 7 % of a maximum test from day to day', [0.14, 0.25]),
  time: working('Usual error of a hold', 0.3, 'of the reading', 'hold times differ by a third from day to day', [0.2, 0.45]),
  count: working('Usual error of a count', 0.2, 'of the reading', 'the last clean repetition is judged by eye', [0.1, 0.3]),
  length: working('Usual error of a length', 1, 'cm', 'a ruler on a soft hand, twice', [0.5, 1.5]),
} as const;

/** To either side of a reading, what holds nineteen of twenty repeats of it. @example bandOfReading({ sem: 2 }) ≈ 3.92 */
export const bandOfReading = ({ sem }: Pick<MeasurementError, 'sem'>): number => NINETEEN_IN_TWENTY * sem;

/** How far a reading is off, and from what change on it is spoken of as real. */
export interface MeasurementError {
  /** Standard error of measurement, in the unit of the reading. */
  readonly sem: number;
  /** Minimal detectable change: 1.96 · √2 · SEM. */
  readonly change: number;
  readonly from: 'own repeats' | 'usual';
  /** Degrees of freedom of the coach's own repeats that there are. */
  readonly repeats: number;
}

/** The spread within sets of repeats, pooled: √(Σ (x − mean of its set)² ÷ Σ (n − 1)). Sets of one tell nothing. @example pooledSpread([[60, 64], [50, 50]]) → { sd: 2, repeats: 2 } */
export function pooledSpread(sets: readonly (readonly number[])[]): { sd: number; repeats: number } {
  const known = spreads.get(sets);
  if (known) return known;
  const spread = spreadOf(sets);
  spreads.set(sets, spread);
  return spread;
}

/** The same repeats are asked about for each reading of a class. */
const spreads = new WeakMap<readonly (readonly number[])[], { sd: number; repeats: number }>();

function spreadOf(sets: readonly (readonly number[])[]): { sd: number; repeats: number } {
  const useful = sets.filter((set) => set.length >= 2);
  const repeats = sum(useful.map((set) => set.length - 1));
  if (!isSome(useful) || repeats === 0) return { sd: 0, repeats: 0 };
  const squares = sum(useful.map((set) => sumNthPowerDeviations([...set], 2)));
  return { sd: Math.sqrt(squares / repeats), repeats };
}

/** The change from which on two readings differ for more than their error. @example detectableChange(2) ≈ 5.544 */
export const detectableChange = (sem: number): number => NINETEEN_IN_TWENTY * TWO_READINGS * sem;

/**
 * The error of what is measured: from the coach's own repeats where there are enough, else the usual one.
 * @param value about which it is asked, since some errors grow with the reading
 * @param repeats sets of readings of one person's hand on one day, in the unit of the reading
 */
export function errorOf(measured: Measured, value: number, repeats: readonly (readonly number[])[] = []): MeasurementError {
  const own = pooledSpread(repeats);
  if (own.repeats >= OWN_REPEATS_FROM) {
    return { sem: own.sd, change: detectableChange(own.sd), from: 'own repeats', repeats: own.repeats };
  }
  const change = usualChange(measured, value);
  return { sem: change / (NINETEEN_IN_TWENTY * TWO_READINGS), change, from: 'usual', repeats: own.repeats };
}

function usualChange({ sort, of }: Measured, value: number): number {
  if (sort === 'range') return RANGE_ERROR_DEG;
  if (sort === 'length') return USUAL_CHANGE.length.value;
  if (of === 'grip') return USUAL_CHANGE.grip.value;
  return USUAL_CHANGE[sort].value * value;
}

/** What a later reading says beside an earlier one. */
export interface Change {
  readonly by: number;
  /** Whether it is more than the error of the two readings. */
  readonly isReal: boolean;
  readonly error: MeasurementError;
}

/** Whether something changed. @example changeOf({ sort: 'range', of: 'wrist extension' }, 70, 75).isReal → false */
export function changeOf(measured: Measured, before: number, after: number, repeats: readonly (readonly number[])[] = []): Change {
  const error = errorOf(measured, (before + after) / 2, repeats);
  const by = after - before;
  return { by, isReal: Math.abs(by) >= error.change, error };
}
