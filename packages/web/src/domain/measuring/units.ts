import {
  BODY_LIMITS,
  kgFromN,
  type Limit,
  newtonsFromKg,
  READING_LIMITS,
  type ReadingUnit,
  type Sentence,
  sentenceText,
  shownAs,
} from '@clay-pot/core';
import { useUnits } from '../../store/units.js';

/** How a metric unit is shown now: a change of units renders the page again, so that no text has to subscribe. */
const now = (unit: string) => shownAs(unit, useUnits.getState());

/** Forces are shown as gauges show them, as a mass, and kept in newtons. */
const gauged = (unit: ReadingUnit) => now(unit === 'N' ? 'kg' : unit);

/** The unit that a reading is shown in. */
export const shownUnit = (unit: ReadingUnit): string => (unit === 'times' ? '' : gauged(unit).unit);
/** A kept value as it is shown. */
export const shownValue = (unit: ReadingUnit, value: number): number => (unit === 'N' ? kgFromN(value) : value) * gauged(unit).per;
/** What was typed or measured in the shown unit, as it is kept. @example storedValue('°', 71.234) → 71.23 */
export function storedValue(unit: ReadingUnit, shown: number): number {
  const metric = shown / gauged(unit).per;
  return Number((unit === 'N' ? newtonsFromKg(metric) : metric).toFixed(2));
}

const PLACES: Record<ReadingUnit, number> = { N: 1, 'N·m': 1, '°': 0, cm: 1, s: 0, times: 0, 'N·s': 0 };
/** A kept value as text with its unit. @example readingText('°', 71) → '71 °' */
export const readingText = (unit: ReadingUnit, value: number): string =>
  `${numberText(unit, value)}${unit === '°' ? '°' : shownUnit(unit) && ` ${shownUnit(unit)}`}`;
/** A kept value as text without its unit. */
export const numberText = (unit: ReadingUnit, value: number): string =>
  unit === 'N·s' ? Math.round(value).toLocaleString('en-GB') : shownValue(unit, value).toFixed(PLACES[unit]);

/** Between what a reading of a unit lies, as it is said. @example boundsText('N·m') → '0.1–150 N·m' */
export function boundsText(unit: ReadingUnit): string {
  const { min, max } = READING_LIMITS[unit];
  const plain = (value: number) => String(Number(shownValue(unit, value).toFixed(PLACES[unit])));
  return `${plain(min)}–${plain(max)}${readingText(unit, max).slice(numberText(unit, max).length)}`;
}

/** Between what a number of a limit lies, as an error says it. @example limitText({ min: 2, max: 40, unit: 'cm' }) → 'from 2 to 40 cm' */
export const limitText = ({ min, max, unit }: Pick<Limit, 'min' | 'max' | 'unit'>): string =>
  `from ${Number(inUnit(unit, min).toFixed(1))} to ${Number(inUnit(unit, max).toFixed(1))} ${unitOf(unit)}`;

/** The unit that a mass, a length or anything else metric is shown in. @example unitOf('kg') → 'kg' */
export const unitOf = (metric: string): string => now(metric).unit;
/** A metric number in the unit that it is shown in. */
export const inUnit = (metric: string, value: number): number => value * now(metric).per;
/** A shown number in its metric unit; metric numbers stay as they are to the last digit. */
export const outOfUnit = (metric: string, shown: number): number => shown / now(metric).per;
/** A metric number as text with its unit. @example metricText('kg', 62.5, 1) → '62.5 kg' */
export const metricText = (metric: string, value: number, places: number): string =>
  `${inUnit(metric, value).toFixed(places)} ${unitOf(metric)}`;
/** A sentence of the core in the coach’s units. */
export const readable = (sentence: Sentence): string => sentenceText(sentence, useUnits.getState());

/** A measure of a body as the text of a field. @example measureText('cm', 170) → '170' */
export const measureText = (metric: 'cm' | 'kg' | undefined, value: number | null): string =>
  value === null || Number.isNaN(value) ? '' : String(metric ? Number(inUnit(metric, value).toFixed(1)) : value);
/** In which steps measures of a body are kept. */
const STEP = { cm: BODY_LIMITS.statureCm.step, kg: BODY_LIMITS.massKg.step } as const;
/** What was typed as a measure of a body, in its metric unit; from another unit to the step that is kept. */
export function measureFrom(metric: 'cm' | 'kg' | undefined, typed: number): number {
  if (!metric || unitOf(metric) === metric) return typed;
  return Number((Math.round(outOfUnit(metric, typed) / STEP[metric]) * STEP[metric]).toFixed(1));
}
