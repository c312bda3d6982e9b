import { TZDate } from '@date-fns/tz';
import { Injectable } from '@nestjs/common';
import { format } from 'date-fns';

/** The server's only source of “now”, so that tests can set it. */
@Injectable()
export class Clock {
  now(): Date {
    return new Date();
  }
}

const MINUTE_MS = 60_000;
/** The minute that was asked about last in each time zone: every request asks for today. Days begin with a minute everywhere since 1972. */
const lastMinute = new Map<string, { readonly minute: number; readonly day: string }>();

/** The calendar day of an instant in a time zone, ISO 8601. */
export function dayIn(timeZone: string, instant: Date): string {
  const minute = Math.floor(instant.getTime() / MINUTE_MS);
  const last = lastMinute.get(timeZone);
  if (last?.minute === minute) return last.day;
  const day = format(new TZDate(instant, timeZone), 'yyyy-MM-dd');
  lastMinute.set(timeZone, { minute, day });
  return day;
}
