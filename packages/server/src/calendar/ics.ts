import { addDays, type CalendarEntry, minutesText } from '@clay-pot/core';
import { TZDate } from '@date-fns/tz';
import ical, { ICalCalendarMethod } from 'ical-generator';
import { tzlib_get_ical_block } from 'timezones-ical-library';

/** How often a calendar that follows should ask again, s. */
const ASK_AGAIN_S = 6 * 3600;

/**
 * A time on a clock of a zone, whose own year, month, day, hours and minutes are those of that clock, wherever this runs. A time that the clock skips when summer
 * begins is as much later: 2:30 is 3:30.
 */
function onClock(day: string, time: string, timeZone: string): TZDate {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return new TZDate(year, month - 1, date, hours, minutes, 0, timeZone);
}

/** An entry of a calendar, and when it last became other than it was. */
export interface StampedEntry extends CalendarEntry {
  readonly changedAt: Date;
}

/**
 * Entries as an iCalendar (RFC 5545). What begins at a time has the time of the studio’s zone, with that zone’s rules beside it, so that it stays at its hour
 * across daylight saving; what has none is of the whole day. A calendar that has an entry already takes the one whose `SEQUENCE` is higher.
 */
export function icsOf(name: string, timeZone: string, entries: readonly StampedEntry[], stampedAt: Date): string {
  const calendar = ical({
    name: oneLine(name),
    prodId: { company: 'Clay Pot', product: 'Programme' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: ASK_AGAIN_S,
    timezone: { name: timeZone, generator: zoneRules },
  });
  for (const { id, day, beginsAt, durationMs, title, description, changedAt } of entries) {
    const start = onClock(day, beginsAt ?? '00:00', timeZone);
    const isAllDay = beginsAt === null;
    const end = isAllDay
      ? onClock(addDays(day, 1), '00:00', timeZone)
      : new TZDate(start.getTime() + Math.ceil(durationMs / 60_000) * 60_000, timeZone);
    const length = durationMs > 0 ? `, ${minutesText(durationMs)}` : '';
    calendar.createEvent({
      id: `${encodeURIComponent(id)}@clay-pot`,
      start,
      end,
      allDay: isAllDay,
      timezone: timeZone,
      stamp: stampedAt,
      sequence: sequenceOf(changedAt),
      summary: `${oneLine(title)}${length}`,
      description: printable(description),
    });
  }
  // The library writes the stamp in the event’s zone; it has to be in UTC (RFC 5545, 3.8.7.2).
  return calendar.toString().replace(/^DTSTAMP:.*$/gm, `DTSTAMP:${inUtc(stampedAt)}`);
}

/** A text without what is no character of a text: a control character would end a line of the file or make it unreadable. */
const printable = (text: string): string => text.replaceAll(CONTROL, ' ');
// oxlint-disable-next-line no-control-regex -- these are what is looked for
const CONTROL = /[\u0000-\u0009\u000B-\u001F\u007F-\u009F\u2028\u2029]/g;
const oneLine = (text: string): string => printable(text).replaceAll('\n', ' ');

const FIRST_SECOND = Date.UTC(2020, 0, 1) / 1000;
/** Seconds are whole numbers that rise with every change, and stay small enough for calendars. */
const sequenceOf = (changedAt: Date): number => Math.max(0, Math.floor(changedAt.getTime() / 1000) - FIRST_SECOND);

/** @example inUtc(new Date('2026-10-01T10:00:00Z')) → '20261001T100000Z' */
const inUtc = (at: Date): string =>
  at
    .toISOString()
    .replace(/\.\d+Z$/, 'Z')
    .replace(/[-:]/g, '');

/** The rules of a zone, with its daylight saving, under the name that was asked for: some zones share the rules of another. */
function zoneRules(zone: string): string | null {
  const found = tzlib_get_ical_block(zone);
  const block = typeof found === 'string' ? found : found[0];
  return block ? block.replace(/^TZID:.*$/m, `TZID:${zone}`).replace(/^X-LIC-LOCATION:.*$/m, `X-LIC-LOCATION:${zone}`) : null;
}
