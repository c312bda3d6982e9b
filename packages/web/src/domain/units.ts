import { kgFromN, newtonsFromKg, READING_LIMITS, type ReadingUnit } from '@clay-pot/core';

/** Forces are shown as gauges show them, in kilograms, and kept in newtons; all else is shown as it is kept. */
export const shownUnit = (unit: ReadingUnit): string => (unit === 'N' ? 'kg' : unit === 'times' ? '' : unit);
/** A kept value as it is shown. */
export const shownValue = (unit: ReadingUnit, value: number): number => (unit === 'N' ? kgFromN(value) : value);
/** What was typed or measured in the shown unit, as it is kept. @example storedValue('°', 71.234) → 71.23 */
export const storedValue = (unit: ReadingUnit, shown: number): number =>
  Number((unit === 'N' ? newtonsFromKg(shown) : shown).toFixed(2));

const PLACES: Record<ReadingUnit, number> = { N: 1, 'N·m': 1, '°': 0, cm: 1, s: 0, times: 0, 'N·s': 0 };
/** A kept value as text with its unit. @example readingText('°', 71) → '71 °' */
export const readingText = (unit: ReadingUnit, value: number): string =>
  `${numberText(unit, value)}${unit === '°' ? '°' : shownUnit(unit) && ` ${shownUnit(unit)}`}`;
/** A kept value as text without its unit. */
export const numberText = (unit: ReadingUnit, value: number): string => shownValue(unit, value).toFixed(PLACES[unit]);

/** Between what a reading of a unit lies, as it is said. @example boundsText('N·m') → '0.1–150 N·m' */
export function boundsText(unit: ReadingUnit): string {
  const { min, max } = READING_LIMITS[unit];
  const plain = (value: number) => String(Number(numberText(unit, value)));
  return `${plain(min)}–${plain(max)}${readingText(unit, max).slice(numberText(unit, max).length)}`;
}
