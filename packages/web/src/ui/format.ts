import { differenceInCalendarDays, format, formatDistanceStrict, isSameYear } from 'date-fns';

/** Minutes and seconds as on a clock: 4:05. */
export function clock(ms: number): string {
  const seconds = Math.max(0, Math.round(ms / 1000));
  return `${Math.floor(seconds / 60)}:${String(seconds % 60).padStart(2, '0')}`;
}

/** Whole minutes for lists: “12 min”; under a minute in seconds. */
export function minutes(ms: number): string {
  return ms < 60_000 ? `${Math.round(ms / 1000)} s` : `${Math.round(ms / 60_000)} min`;
}

/** “Tue 3 Mar”, with the year when it is another one. */
export function dayText(instant: string | Date, now = new Date()): string {
  const date = new Date(instant);
  return format(date, isSameYear(date, now) ? 'EEE d MMM' : 'EEE d MMM yyyy');
}

export const timeText = (instant: string) => format(new Date(instant), 'HH:mm');

/** “today”, “yesterday”, “3 days ago”, “5 months ago”: by calendar days, as people count them. */
export function agoText(instant: string, now = new Date()): string {
  const days = differenceInCalendarDays(now, new Date(instant));
  if (days < 1) return 'today';
  if (days === 1) return 'yesterday';
  return days < 60 ? `${days} days ago` : formatDistanceStrict(new Date(instant), now, { addSuffix: true });
}

export const percent = (ratio: number) => `${Math.round(ratio * 100)} %`;

export const WEEKDAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
export const weekdayText = (weekdays: readonly number[]) =>
  weekdays.length === 7 ? 'every day' : weekdays.map((weekday) => WEEKDAY_NAMES[weekday - 1]).join(' ');
