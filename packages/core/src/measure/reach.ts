import { type Person, RANGE_ERROR_DEG, rangeVerdict, rangeWithHelpDeg } from '../mechanics/capacity.js';
import { latestReading, type Reading } from '../model/reading.js';
import type { Hand } from '../vocabulary/hands.js';
import type { RangeMotion } from '../vocabulary/motions.js';

/** How far a hand goes one way, by itself and with help, and how far it is taken. */
export interface Reach {
  /** By its own muscles, degrees; null where it was not measured. */
  readonly activeDeg: number | null;
  readonly withHelpDeg: number;
  readonly source: 'measured' | 'estimated';
  /** What help adds to the own muscles: range that is not yet held by them; null where either was not measured. */
  readonly gapDeg: number | null;
  /** Whether the gap is more than the error of two readings. */
  readonly isGapReal: boolean;
  /** What is left of the range where it is taken; negative past it. Null where it is not taken there. */
  readonly marginDeg: number | null;
  readonly verdict: ReturnType<typeof rangeVerdict> | null;
  /** Whether it is taken further than its own muscles reach, by more than the error of a reading: loading a range that is passive only. */
  readonly isBeyondActive: boolean;
}

/** A hand's reach in one motion. @param takenDeg how far a sequence takes it; 0 where it does not */
export function reachOf(
  person: Person,
  readings: readonly Reading[],
  { motion, hand, takenDeg }: { readonly motion: RangeMotion; readonly hand: Hand; readonly takenDeg: number },
): Reach {
  const { deg: withHelpDeg, source } = rangeWithHelpDeg(person, motion, hand);
  const activeDeg = latestReading(readings, 'active range', motion, hand)?.value ?? null;
  const gapDeg = activeDeg !== null && source === 'measured' ? withHelpDeg - activeDeg : null;
  const isTaken = takenDeg > 0;
  return {
    activeDeg,
    withHelpDeg,
    source,
    gapDeg,
    isGapReal: gapDeg !== null && gapDeg >= RANGE_ERROR_DEG,
    marginDeg: isTaken ? withHelpDeg - takenDeg : null,
    verdict: isTaken ? rangeVerdict(takenDeg, withHelpDeg) : null,
    isBeyondActive: isTaken && activeDeg !== null && takenDeg > activeDeg + RANGE_ERROR_DEG,
  };
}
