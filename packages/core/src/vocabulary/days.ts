/** ISO weekdays: Monday 1 … Sunday 7. */
export const WEEKDAYS = [1, 2, 3, 4, 5, 6, 7] as const;

/** Weekdays as calendars write them, Monday first. */
export const WEEKDAY_NAMES = ['Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat', 'Sun'] as const;

/** ISO weekday of an ISO date. @example weekdayOf('2026-06-10') → 3 */
export function weekdayOf(day: string): number {
  return ((new Date(`${day}T00:00:00Z`).getUTCDay() + 6) % 7) + 1;
}

/** The day that a date is in UTC: of dates that were made of days. The day of a session is the studio’s, and is stored with it. */
const dayOfUtc = (date: Date): string => date.toISOString().split('T')[0] ?? '';

/** The ISO date a number of days later (or earlier, when negative). @example addDays('2026-02-27', 2) → '2026-03-01' */
export function addDays(day: string, days: number): string {
  const date = new Date(`${day}T00:00:00Z`);
  date.setUTCDate(date.getUTCDate() + days);
  return dayOfUtc(date);
}

/** Age in whole years on a day; both ISO dates. @example ageOn('2008-06-11', '2026-06-10') → 17 */
export function ageOn(birthDate: string, day: string): number {
  const years = Number(day.slice(0, 4)) - Number(birthDate.slice(0, 4));
  return day.slice(5) < birthDate.slice(5) ? years - 1 : years;
}

const MONTHS = ['Jan', 'Feb', 'Mar', 'Apr', 'May', 'Jun', 'Jul', 'Aug', 'Sep', 'Oct', 'Nov', 'Dec'];

/** A day in words, for use in sentences. @example dayWords('2026-05-02') → '2 May 2026' */
export function dayWords(day: string): string {
  const [year, month, date] = day.split('-').map(Number);
  return `${date} ${MONTHS[(month ?? 1) - 1]} ${year}`;
}

const HOUR_MS = 3_600_000;
const DAY_MS = 24 * HOUR_MS;

/** Hours from one instant (ISO 8601) to another; negative when the second is earlier. @example hoursBetween('2026-01-01T00:00:00Z', '2026-01-02T12:00:00Z') → 36 */
export const hoursBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / HOUR_MS;

/** Days from one ISO date or instant to another; negative when the second is earlier. @example daysBetween('2026-01-01', '2026-03-01') → 59 */
export const daysBetween = (from: string, to: string) => (Date.parse(to) - Date.parse(from)) / DAY_MS;

/** Whether a text is a day of the calendar, and no 31 February. @example isDay('2026-02-31') → false */
export function isDay(text: string): boolean {
  if (!/^\d{4}-\d{2}-\d{2}$/.test(text) || text < FIRST_DAY || text > LAST_DAY) return false;
  const date = new Date(`${text}T00:00:00Z`);
  return !Number.isNaN(date.getTime()) && date.toISOString().startsWith(text);
}
/** No athlete, no reading and no session lies outside: other years are slips of the finger. */
export const FIRST_DAY = '1900-01-01';
/** Nothing was tested or asked before this day: an earlier one is a slip of the finger. */
export const RECORDS_FROM = '1990-01-01';
/** The oldest that somebody may be, years. */
export const OLDEST_YEARS = 110;
/** No day after this is taken. */
export const LAST_DAY = '2199-12-31';

/** Whether a text is an instant in UTC with milliseconds, as `Date.prototype.toISOString` writes it. @example isInstant('2026-13-01T00:00:00.000Z') → false */
export function isInstant(text: string): boolean {
  return /^\d{4}-\d{2}-\d{2}T\d{2}:\d{2}:\d{2}\.\d{3}Z$/.test(text) && isDay(text.split('T')[0] ?? '') && iso(text) === text;
}
function iso(text: string): string | null {
  const at = Date.parse(text);
  return Number.isNaN(at) ? null : new Date(at).toISOString();
}
