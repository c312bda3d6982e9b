import { type Action, ACTIONS } from '../vocabulary/actions.js';
import type { Hand } from '../vocabulary/hands.js';
import { RANGE_MOTIONS, type RangeMotion } from '../vocabulary/motions.js';

/** What a reading is of: a maximum in its action's unit, or how far a motion goes, by own muscles or with help, in degrees. */
export const READING_KINDS = ['maximum', 'active range', 'passive range'] as const;
export type ReadingKind = (typeof READING_KINDS)[number];

/** One measured value on a day. */
export interface Reading {
  readonly kind: ReadingKind;
  /** An action for a maximum, a motion for a range. */
  readonly of: string;
  readonly hand: Hand;
  readonly value: number;
  /** ISO day. */
  readonly onDay: string;
}

/** Bounds of a reading by kind and unit: beyond them a slip of the finger is likelier than a hand. */
export const READING_LIMITS = {
  'N·m': { min: 0.1, max: 150, step: 0.1, unit: 'N·m' },
  N: { min: 1, max: 1500, step: 1, unit: 'N' },
  '°': { min: 0, max: 130, step: 1, unit: '°' },
} as const;

/** The unit of a reading, or undefined when nothing of that name is measured this way. */
export function readingUnit(kind: ReadingKind, of: string): keyof typeof READING_LIMITS | undefined {
  if (kind === 'maximum') return of in ACTIONS ? ACTIONS[of as Action] : undefined;
  return RANGE_MOTIONS.includes(of as RangeMotion) ? '°' : undefined;
}

/** The latest reading of a kind, motion or action, and hand; undefined when there is none. Equal days: the later in the list. */
export function latestReading(
  readings: readonly Reading[],
  kind: ReadingKind,
  of: string,
  hand: Hand,
): Reading | undefined {
  return readings
    .filter((reading) => reading.kind === kind && reading.of === of && reading.hand === hand)
    .reduce<Reading | undefined>((last, reading) => (last && last.onDay > reading.onDay ? last : reading), undefined);
}
