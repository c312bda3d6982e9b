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

/** The calendar day of an instant in a time zone, ISO 8601. */
export function dayIn(timeZone: string, instant: Date): string {
  return format(new TZDate(instant, timeZone), 'yyyy-MM-dd');
}
