import { isDay, itemAt, readNumber, WEEKDAY_NAMES } from '@clay-pot/core';
import { differenceInCalendarDays } from 'date-fns';

export { WEEKDAY_NAMES } from '@clay-pot/core';
// The browser's own names of months: those of the library weigh more than all else that the first page needs of it.
const MONTH = new Intl.DateTimeFormat('en-US', { month: 'short' });
const DAYS_OF_MONTH = 365.25 / 12;

/** “Tue 3 Mar”, with the year when it is another one. @param when a day of the calendar, or an instant, whose day is the device’s */
export function dayText(when: string | Date, now = new Date()): string {
  const date = new Date(typeof when === 'string' && isDay(when) ? `${when}T12:00:00` : when);
  const text = `${itemAt(WEEKDAY_NAMES, (date.getDay() + 6) % 7)} ${date.getDate()} ${MONTH.format(date)}`;
  return date.getFullYear() === now.getFullYear() ? text : `${text} ${date.getFullYear()}`;
}

/** Hours and minutes of the device's clock. */
export const timeText = (instant: string) => new Date(instant).toTimeString().slice(0, 5);

/** “today”, “yesterday”, “3 days ago”, “5 months ago”: by calendar days, as people count them. */
export function agoText(instant: string, now = new Date()): string {
  const days = differenceInCalendarDays(now, new Date(instant));
  if (days < 1) return 'today';
  if (days === 1) return 'yesterday';
  if (days < 60) return `${days} days ago`;
  const months = Math.round(days / DAYS_OF_MONTH);
  return months < 24 ? `${months} months ago` : `${Math.round(months / 12)} years ago`;
}

/** Days of the week in words. */
export const weekdayText = (weekdays: readonly number[]) =>
  weekdays.length === 7 ? 'every day' : weekdays.map((weekday) => WEEKDAY_NAMES[weekday - 1]).join(' ');

/** A score of 0–10 or the mean of some; a dash without one. @example scoreText(6.04) → '6' */
export const scoreText = (score: number | null): string => (score === null ? '–' : String(Number(score.toFixed(1))));

/** What a form holds of a number: one already, or as it was typed; NaN where it is neither. */
export function formNumber(value: unknown): number {
  if (typeof value === 'number') return value;
  return typeof value === 'string' ? readNumber(value) : NaN;
}

/** What somebody is called in a sentence. @example firstName('Wren Halloran') → 'Wren' */
export const firstName = (name: string): string => name.split(' ')[0] ?? name;
