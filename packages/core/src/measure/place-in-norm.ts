import { ACTIVE_RANGE, gripNorm, PINCH_NORMS, WRIST_MOMENT_NORMS } from '../mechanics/norms.js';
import { normalShare } from '../mechanics/belief.js';
import type { Sex } from '../model/body.js';
import type { Hand } from '../vocabulary/hands.js';
import { isRangeMotion } from '../vocabulary/motions.js';
import type { ReadingKind } from '../vocabulary/measures.js';
import { GRAVITY } from '../vocabulary/gravity.js';

/** The place of a reading among people who were measured. */
export interface PlaceInNorm {
  /** So many of a hundred have less. */
  readonly percentile: number;
  readonly mean: number;
  readonly sd: number;
  /** Who was measured, and where that was published. */
  readonly population: string;
}

/** Of whom it is. */
export interface Normed {
  readonly sex: Sex;
  readonly ageYears: number | null;
}

/** Beyond these a table says “less than nearly all” and no more. */
const FIRST = 1;
const LAST = 99;

/**
 * The percentile of a reading with its population; null where no table covers it, or where the sex or age it depends on isn’t known.
 * Normal within its band. @param value in the unit of the reading
 */
export function placeInNorm(kind: ReadingKind, of: string, hand: Hand, value: number, person: Normed): PlaceInNorm | null {
  const norm = normOf(kind, of, hand, person);
  if (!norm) return null;
  const share = 100 * normalShare((value - norm.mean) / norm.sd);
  return { ...norm, percentile: Math.min(LAST, Math.max(FIRST, Math.round(share))) };
}

function normOf(kind: ReadingKind, of: string, hand: Hand, { sex, ageYears }: Normed): Omit<PlaceInNorm, 'percentile'> | null {
  if (kind === 'active range' && isRangeMotion(of)) {
    const { mean, sd } = ACTIVE_RANGE[of];
    return { mean: mean.value, sd, population: 'men of 20–54 years (Boone, Azen 1979)' };
  }
  if (kind !== 'maximum' || sex === 'not stated') return null;
  if (of === 'grip') {
    if (ageYears === null) return null;
    const { meanKg, sdKg } = gripNorm(sex, ageYears, hand);
    return {
      mean: meanKg * GRAVITY,
      sd: sdKg * GRAVITY,
      population: `${wordOf(sex)} of ${decadeOf(ageYears)} in South Australia (Massy-Westropp et al. 2011)`,
    };
  }
  const pinch = Object.hasOwn(PINCH_NORMS, of) ? PINCH_NORMS[of as keyof typeof PINCH_NORMS] : undefined;
  if (pinch) {
    const { meanKg, sdKg } = pinch[sex][hand];
    return { mean: meanKg * GRAVITY, sd: sdKg * GRAVITY, population: `${wordOf(sex)} of 20–29 years (Mathiowetz et al. 1985)` };
  }
  const moment = Object.hasOwn(WRIST_MOMENT_NORMS, of) ? WRIST_MOMENT_NORMS[of as keyof typeof WRIST_MOMENT_NORMS] : undefined;
  return moment && sex === 'male' ? { ...moment, population: 'ten men (Delp, Grierson, Buchanan 1996): a rough guide only' } : null;
}

const wordOf = (sex: Exclude<Sex, 'not stated'>) => (sex === 'male' ? 'men' : 'women');

/** The band of ages that the grip table reads. */
function decadeOf(ageYears: number): string {
  if (ageYears < 20) return '20–29 years, the youngest measured';
  const from = Math.min(70, 10 * Math.floor(ageYears / 10));
  return from === 70 ? '70 years and more' : `${from}–${from + 9} years`;
}
