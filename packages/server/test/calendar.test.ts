import { beforeAll, describe, expect, test } from '@jest/globals';
import type { CalendarLink } from '@clay-pot/contracts';
import type { Programme } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { type Browser, furnish, House } from './house.js';

let house: House;
let coach: Browser;
let pair: { athleteId: string; sequenceId: string };
const programmeId = uuid();
beforeAll(async () => {
  house = await House.open('calendar', { now: () => new Date('2026-10-01T10:00:00Z') });
  coach = await house.coach('calendar');
  pair = await furnish(coach);
  // Daylight saving ends on 25 October.
  const document: Programme = {
    title: 'Toward the show',
    fromDay: '2026-10-19',
    weeks: [
      { kind: 'build', amountPercent: 100 },
      { kind: 'taper', amountPercent: 50 },
    ],
    event: { day: '2026-10-31', name: 'Lantern show' },
    plans: [
      { id: 'a', sequenceId: pair.sequenceId, beginsAt: '18:30' },
      { id: 'b', sequenceId: pair.sequenceId },
    ],
    sessions: [
      { id: 's1', day: '2026-10-23', planId: 'a' },
      { id: 's2', day: '2026-10-26', planId: 'a' },
      { id: 's3', day: '2026-10-28', planId: 'b' },
    ],
  };
  await coach.ask('PUT', `/programmes/${programmeId}`, { athleteId: pair.athleteId, document });
});

const lines = (text: unknown) => String(text).replaceAll('\r\n ', '').split('\r\n');

describe('a programme as iCalendar', () => {
  test('has each session at its hour on both sides of daylight saving, with the zone’s rules beside it', async () => {
    const { status, body, headers } = await coach.ask<string>('GET', `/programmes/${programmeId}/calendar.ics`);
    expect(status).toBe(200);
    expect(headers['content-type']).toBe('text/calendar; charset=utf-8');
    const fileLines = lines(body);
    expect(fileLines[0]).toBe('BEGIN:VCALENDAR');
    expect(fileLines).toContain('TZID:Europe/Amsterdam');
    expect(fileLines.filter((line) => line.startsWith('DTSTART;TZID'))).toEqual([
      'DTSTART;TZID=Europe/Amsterdam:20261023T183000',
      'DTSTART;TZID=Europe/Amsterdam:20261026T183000',
    ]);
    expect(fileLines.some((line) => line === 'RRULE:FREQ=YEARLY;BYMONTH=10;BYDAY=-1SU')).toBe(true);
    // Without an hour it is of the day; and so is the event.
    expect(fileLines.filter((line) => line.startsWith('DTSTART;VALUE=DATE'))).toEqual([
      'DTSTART;VALUE=DATE:20261028',
      'DTSTART;VALUE=DATE:20261031',
    ]);
    expect(fileLines.filter((line) => line.startsWith('SUMMARY')).at(-1)).toBe('SUMMARY:Lantern show');
    expect(fileLines.filter((line) => line.startsWith('DESCRIPTION'))[0]).toContain('Stop if it hurts');
    expect(fileLines.filter((line) => line.startsWith('UID'))[0]).toBe(`UID:${programmeId}-s1@clay-pot`);
  });

  test('is followed at a private address that is told once, made anew, and ended', async () => {
    const path = `/athletes/${pair.athleteId}/calendar`;
    const stranger = await house.coach('stranger');
    const follow = ({ path: at }: CalendarLink) => stranger.ask<string>('GET', String(at).replace(/^\/api/, ''));
    expect((await coach.ask<CalendarLink>('GET', path)).body).toEqual({ madeAt: null, path: null });
    const first = (await coach.ask<CalendarLink>('PUT', path)).body;
    expect((await coach.ask<CalendarLink>('GET', path)).body).toEqual({ madeAt: first.madeAt, path: null });
    expect(lines((await follow(first)).body)).toContain('DTSTART;TZID=Europe/Amsterdam:20261023T183000');
    const second = (await coach.ask<CalendarLink>('PUT', path)).body;
    expect((await follow(first)).status).toBe(404);
    expect((await follow(second)).status).toBe(200);
    expect((await coach.ask('DELETE', path)).status).toBe(204);
    expect((await follow(second)).status).toBe(404);
    expect((await follow({ madeAt: null, path: '/api/calendars/guessed.ics' })).status).toBe(404);
  });
});
