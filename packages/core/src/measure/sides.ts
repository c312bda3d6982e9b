import { published } from '../vocabulary/constant.js';
import type { Hand } from '../vocabulary/hands.js';
import { errorOf } from './error.js';
import type { Measured } from './measured.js';

/** In right-handers the right hand grips so much harder than the left; in left-handers both grip alike. */
const RIGHT_EXCESS = published(
  'Excess of the right hand in right-handers',
  0.1,
  'of the left',
  'Petersen et al. 1989, Am J Occup Ther 43:444–7',
);

/** How two hands stand to each other. */
export interface Sides {
  /** Left less right, in the unit of the reading. */
  readonly difference: number;
  /** What the weaker or stiffer hand lacks, in percent of the other. */
  readonly lacksPercent: number;
  readonly lesser: Hand | null;
  /** The difference that handedness alone would make, left less right. */
  readonly expected: number;
  /** Whether the hands differ by more than handedness and the error of two readings. */
  readonly isUneven: boolean;
}

/**
 * Compares two hands with their handedness taken into account: forces of right-handers are a tenth more on the right.
 * @example sidesOf({ sort: 'range', of: 'wrist extension' }, { left: 58, right: 74 }, 'right').lesser → 'left'
 */
export function sidesOf(
  measured: Measured,
  values: Readonly<Record<Hand, number>>,
  dominant: Hand,
  repeats: readonly (readonly number[])[] = [],
): Sides {
  const { left, right } = values;
  const difference = left - right;
  const byHandedness = measured.sort === 'force' && dominant === 'right';
  const mean = (left + right) / 2;
  const expected = byHandedness ? (-mean * RIGHT_EXCESS.value) / (1 + RIGHT_EXCESS.value / 2) : 0;
  const { change } = errorOf(measured, mean, repeats);
  const most = Math.max(left, right);
  return {
    difference,
    lacksPercent: most > 0 ? (100 * Math.abs(difference)) / most : 0,
    lesser: difference === 0 ? null : difference < 0 ? 'left' : 'right',
    expected,
    // Many right-handers have two alike hands: what lies between even and the usual excess is neither’s lack.
    isUneven: difference <= Math.min(0, expected) - change || difference >= Math.max(0, expected) + change,
  };
}

/** Which hand has less, and by how much, as in “left 22 % less”; “weaker” is said of forces only. */
export const lesserWords = ({ sort }: Measured, { lesser, lacksPercent }: Sides): string =>
  lesser === null ? 'both alike' : `${lesser} ${lacksPercent.toFixed(0)} % ${sort === 'force' ? 'weaker' : 'less'}`;
