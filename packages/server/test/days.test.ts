import { beforeAll, describe, expect, test } from '@jest/globals';
import type { AthleteListItem, ClassRow, LevelItem, SessionListItem, SessionPage } from '@clay-pot/contracts';
import { compileTimeline, type PastSession } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { StudioRow } from '../src/accounts/entities.js';
import { SessionRow } from '../src/sessions/session.entities.js';
import { ATHLETE, type Browser, House, sequenceOf } from './house.js';

/** A session’s day is the studio’s calendar day: found once, where it is stored, and the same wherever it is read. */

const NOW = new Date('2026-11-20T12:00:00.000Z');
let house: House;
beforeAll(async () => {
  house = await House.open('days', { now: () => NOW });
});

const PLAN = sequenceOf('Support', ['load', 'bearing.palm-support', 'all-fours']);

/** A coach whose studio keeps the time of a place, with somebody to train. */
async function studioIn(timeZone: string): Promise<{ coach: Browser; athleteId: string; sequenceId: string }> {
  const name = timeZone.toLowerCase().replaceAll(/[^a-z]/g, '');
  const { email, studioId } = await house.studio(`${name}${uuid()}`);
  await house.source.getRepository(StudioRow).update({ id: studioId }, { timeZone });
  const coach = await house.signedIn(email);
  const [athleteId, sequenceId] = [uuid(), uuid()];
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
  await coach.ask('PUT', `/sequences/${sequenceId}`, PLAN);
  return { coach, athleteId, sequenceId };
}

/** Leads the plan at an instant, to its end. @returns the id of the session */
async function led({ coach, athleteId, sequenceId }: Awaited<ReturnType<typeof studioIn>>, startedAt: string): Promise<string> {
  const id = uuid();
  await coach.ask('PUT', `/sessions/${id}`, { athleteId, sequenceId, plan: PLAN, startedAt });
  const endedAt = new Date(Date.parse(startedAt) + 600_000).toISOString();
  for (const { blockId, set, side, direction, unit, plannedAmount } of compileTimeline(PLAN, shippedMovement).stints) {
    const what = { blockId, movementId: 'bearing.palm-support', levelId: 'all-fours', set, side, direction, unit, plannedAmount };
    await coach.ask('PUT', `/sessions/${id}/sets/${uuid()}`, { ...what, doneAmount: plannedAmount, endedAt, corrects: null });
  }
  await coach.ask('PUT', `/sessions/${id}/reports/${uuid()}`, { blockId: 'b0', discomfort: 0, exertion: 4, note: '', at: endedAt });
  await coach.ask('PUT', `/sessions/${id}/end`, { ending: 'completed', note: '', endedAt });
  return id;
}
const listed = async (coach: Browser) => (await coach.ask<SessionPage>('GET', '/sessions')).body.items;

describe('the day of a session', () => {
  test.each<[string, string, string]>([
    // Thirteen hours ahead: the evening of UTC is the next morning.
    ['Pacific/Auckland', '2026-11-10T20:00:00.000Z', '2026-11-11'],
    ['America/Los_Angeles', '2026-11-11T03:30:00.000Z', '2026-11-10'],
    // Five hours and three quarters.
    ['Asia/Kathmandu', '2026-11-10T18:14:59.999Z', '2026-11-10'],
    ['Asia/Kathmandu', '2026-11-10T18:15:00.000Z', '2026-11-11'],
    // The clock goes back at one in the morning of UTC: both of the hours between two and three are of that day.
    ['Europe/Berlin', '2026-10-24T21:59:00.000Z', '2026-10-24'],
    ['Europe/Berlin', '2026-10-24T22:00:00.000Z', '2026-10-25'],
    ['Europe/Berlin', '2026-10-25T22:59:00.000Z', '2026-10-25'],
    ['Europe/Berlin', '2026-10-25T23:00:00.000Z', '2026-10-26'],
    // And forward, where the day has twenty-three hours.
    ['America/Los_Angeles', '2026-03-08T07:59:00.000Z', '2026-03-07'],
    ['America/Los_Angeles', '2026-03-09T06:59:00.000Z', '2026-03-08'],
    ['America/Los_Angeles', '2026-03-09T07:00:00.000Z', '2026-03-09'],
  ])('in %s, begun at %s, is %s', async (timeZone, startedAt, day) => {
    const studio = await studioIn(timeZone);
    const id = await led(studio, startedAt);
    expect((await house.source.getRepository(SessionRow).findOneByOrFail({ id })).onDay).toBe(day);
    expect((await listed(studio.coach)).map(({ onDay }) => onDay)).toEqual([day]);
    const { body: past } = await studio.coach.ask<PastSession[]>('GET', `/athletes/${studio.athleteId}/past?days=400`);
    expect(past.map(({ onDay }) => onDay)).toEqual([day]);
  });

  test('two of one evening in Los Angeles are one day of evidence, though UTC has them on two', async () => {
    const studio = await studioIn('America/Los_Angeles');
    await led(studio, '2026-11-10T23:00:00.000Z');
    await led(studio, '2026-11-11T03:30:00.000Z');
    await led(studio, '2026-11-13T03:30:00.000Z');
    const { body: levels } = await studio.coach.ask<LevelItem[]>('GET', `/athletes/${studio.athleteId}/levels`);
    const left = levels.find(({ hand }) => hand === 'left')!;
    expect(left.history.map(({ onDay }) => onDay)).toEqual(['2026-11-12', '2026-11-10']);
    const { body: people } = await studio.coach.ask<AthleteListItem[]>('GET', '/athletes');
    expect(people[0]!.recentDays).toEqual([
      { day: '2026-11-10', sessions: 2 },
      { day: '2026-11-12', sessions: 1 },
    ]);
    const { body: table } = await studio.coach.ask<ClassRow[]>('GET', '/class');
    expect(table[0]!.lastSessionOn).toBe('2026-11-12');
  });

  test('the morning after is of the day on which it was told', async () => {
    const studio = await studioIn('Pacific/Auckland');
    const id = await led(studio, '2026-11-10T06:00:00.000Z');
    const morning = { left: 0, right: 1, at: '2026-11-10T19:30:00.000Z' };
    expect((await studio.coach.ask('PUT', `/sessions/${id}/morning`, morning)).status).toBeLessThan(300);
    expect((await house.source.getRepository(SessionRow).findOneByOrFail({ id })).morningOn).toBe('2026-11-11');
  });

  test('a house of before gets the days of its sessions', async () => {
    const before = await House.open('days_before', { now: () => NOW });
    const { email, studioId } = await before.studio('auckland');
    await before.source.getRepository(StudioRow).update({ id: studioId }, { timeZone: 'Pacific/Auckland' });
    const coach = await before.signedIn(email);
    const [athleteId, sequenceId] = [uuid(), uuid()];
    await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
    await coach.ask('PUT', `/sequences/${sequenceId}`, PLAN);
    const id = await led({ coach, athleteId, sequenceId }, '2026-11-10T20:00:00.000Z');
    await coach.ask('PUT', `/sessions/${id}/morning`, { left: 0, right: 0, at: '2026-11-11T20:00:00.000Z' });
    await before.undoTo('DaysOfSessions');
    await before.source.runMigrations();
    const { onDay, morningOn } = await before.source.getRepository(SessionRow).findOneByOrFail({ id });
    expect([onDay, morningOn]).toEqual(['2026-11-11', '2026-11-12']);
    const [item] = await listed(coach);
    expect(item).toMatchObject({ id, onDay: '2026-11-11' } satisfies Partial<SessionListItem>);
  });
});
