import { beforeAll, describe, expect, test } from '@jest/globals';
import type { CalendarLink, StoredProgramme, StoredSequence } from '@clay-pot/contracts';
import type { Programme } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { icsOf } from '../src/calendar/ics.js';
import { type Browser, furnish, House } from './house.js';

let house: House;
let now = new Date('2026-10-01T10:00:00Z');
let coach: Browser;
let pair: { athleteId: string; sequenceId: string };
const programmeId = uuid();
beforeAll(async () => {
  house = await House.open('calendar', { now: () => now });
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
    // Stamped in UTC, and the zone is one under both of its names.
    expect(new Set(fileLines.filter((line) => line.startsWith('DTSTAMP')))).toEqual(new Set(['DTSTAMP:20261001T100000Z']));
    expect(fileLines.filter((line) => line.startsWith('X-LIC-LOCATION'))).toEqual(['X-LIC-LOCATION:Europe/Amsterdam']);
  });

  test('has a number that rises with every change, of the programme or of what it is made of', async () => {
    const sequenceNumber = async () => {
      const { body } = await coach.ask<string>('GET', `/programmes/${programmeId}/calendar.ics`);
      return Number(
        lines(body)
          .find((line) => line.startsWith('SEQUENCE:'))
          ?.slice('SEQUENCE:'.length),
      );
    };
    const first = await sequenceNumber();
    now = new Date(now.getTime() + 60_000);
    const stored = await coach.ask<StoredProgramme>('GET', `/programmes/${programmeId}`);
    const { document, etag } = stored.body;
    const moved = { ...document, sessions: document.sessions.map((each) => (each.id === 's1' ? { ...each, day: '2026-10-22' } : each)) };
    await coach.ask('PUT', `/programmes/${programmeId}`, { athleteId: pair.athleteId, document: moved }, { 'if-match': etag });
    const second = await sequenceNumber();
    expect(second).toBeGreaterThan(first);
    now = new Date(now.getTime() + 60_000);
    const sequence = (await coach.ask<StoredSequence>('GET', `/sequences/${pair.sequenceId}`)).body;
    const renamed = { ...sequence.document, title: 'Otherwise called' };
    expect((await coach.ask('PUT', `/sequences/${pair.sequenceId}`, renamed, { 'if-match': sequence.etag })).status).toBe(200);
    expect(await sequenceNumber()).toBeGreaterThan(second);
    const put = await coach.ask<StoredProgramme>('GET', `/programmes/${programmeId}`);
    await coach.ask('PUT', `/programmes/${programmeId}`, { athleteId: pair.athleteId, document }, { 'if-match': put.body.etag });
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

describe('a time that the clock skips', () => {
  const entry = { id: 'a', day: '2026-03-29', beginsAt: '02:30', durationMs: 1_800_000, title: 'Early', description: '', changedAt: now };
  const starts = (timeZone: string) => lines(icsOf('Any', timeZone, [entry], now)).filter((line) => /^DT(START|END);TZID/.test(line));
  test('when summer begins is an hour later there, and as written elsewhere', () => {
    expect(starts('Europe/Amsterdam')).toEqual([
      'DTSTART;TZID=Europe/Amsterdam:20260329T033000',
      'DTEND;TZID=Europe/Amsterdam:20260329T040000',
    ]);
    expect(starts('Asia/Kolkata')).toEqual(['DTSTART;TZID=Asia/Kolkata:20260329T023000', 'DTEND;TZID=Asia/Kolkata:20260329T030000']);
  });
});
