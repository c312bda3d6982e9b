import { addDays, type CalendarEntry, minutesText } from '@clay-pot/core';
import ical, { ICalCalendarMethod } from 'ical-generator';
import { tzlib_get_ical_block } from 'timezones-ical-library';

/** How often a calendar that follows should ask again, s. */
const ASK_AGAIN_S = 6 * 3600;

/** A time on a clock, wherever that clock is: read by its own year, month, day, hours and minutes. */
const onClock = (day: string, time: string) => {
  const [year = 0, month = 1, date = 1] = day.split('-').map(Number);
  const [hours = 0, minutes = 0] = time.split(':').map(Number);
  return new Date(year, month - 1, date, hours, minutes);
};

/**
 * Entries as an iCalendar (RFC 5545). What begins at a time has the time of the studio’s zone, with that zone’s rules beside it, so that it stays at its hour
 * across daylight saving; what has none is of the whole day.
 */
export function icsOf(name: string, timeZone: string, entries: readonly CalendarEntry[], stampedAt: Date): string {
  const calendar = ical({
    name,
    prodId: { company: 'Clay Pot', product: 'Programme' },
    method: ICalCalendarMethod.PUBLISH,
    ttl: ASK_AGAIN_S,
    timezone: { name: timeZone, generator: zoneRules },
  });
  for (const { id, day, beginsAt, durationMs, title, description } of entries) {
    const start = onClock(day, beginsAt ?? '00:00');
    const isAllDay = beginsAt === null;
    const end = isAllDay ? onClock(addDays(day, 1), '00:00') : new Date(start.getTime() + Math.ceil(durationMs / 60_000) * 60_000);
    const length = durationMs > 0 ? `, ${minutesText(durationMs)}` : '';
    calendar.createEvent({
      id: `${id}@clay-pot`,
      start,
      end,
      allDay: isAllDay,
      timezone: timeZone,
      stamp: stampedAt,
      summary: `${title}${length}`,
      description,
    });
  }
  return calendar.toString();
}

/** The rules of a zone, with its daylight saving, under the name that was asked for: some zones share the rules of another. */
function zoneRules(zone: string): string | null {
  const found = tzlib_get_ical_block(zone);
  const block = typeof found === 'string' ? found : found[0];
  return block ? block.replace(/^TZID:.*$/m, `TZID:${zone}`) : null;
}
