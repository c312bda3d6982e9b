import { differenceInCalendarDays, format, formatDistanceStrict, isSameYear } from 'date-fns';

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

export const WEEKDAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;
export const weekdayText = (weekdays: readonly number[]) =>
  weekdays.length === 7 ? 'every day' : weekdays.map((weekday) => WEEKDAY_NAMES[weekday - 1]).join(' ');
