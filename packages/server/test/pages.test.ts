import { beforeAll, describe, expect, test } from '@jest/globals';
import type { AthleteListItem, Problem } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { type Answer, ATHLETE, type Browser, House, pointers, SEQUENCE } from './house.js';

let house: House;
let coach: Browser;
beforeAll(async () => {
  house = await House.open('pages', { now: () => new Date('2026-06-10T10:00:00.000Z') });
  coach = await house.coach('pager');
  for (const name of NAMES) await coach.ask('PUT', `/athletes/${uuid()}`, { ...ATHLETE, name });
});
/** Two of one name: their ids tell them apart. */
const NAMES = ['Ede', 'Abe', 'Coy', 'Coy', 'Bea', '100 % Dee', 'Émile'];

/** All names of a list, page by page. @param between done after each page */
async function pages(path: string, between: () => Promise<unknown> = () => Promise.resolve()): Promise<string[][]> {
  const all: string[][] = [];
  for (let next: string | null = path; next !== null;) {
    const page: Answer<AthleteListItem[]> = await coach.ask<AthleteListItem[]>('GET', next);
    const { body, headers } = page;
    all.push(body.map(({ name }) => name));
    next = /<\/api([^>]+)>; rel="next"/.exec(String(headers['link'] ?? ''))?.[1] ?? null;
    await between();
  }
  return all;
}

describe('a list page by page', () => {
  test('has each once, in order, whatever is their name', async () => {
    expect(await pages('/athletes?limit=3')).toEqual([['100 % Dee', 'Abe', 'Bea'], ['Coy', 'Coy', 'Ede'], ['Émile']]);
    expect(await pages('/athletes')).toHaveLength(1);
    expect(await pages('/athletes?limit=7')).toHaveLength(1);
  });

  test('goes on where it was when somebody is added meanwhile', async () => {
    let added = 0;
    const seen = await pages('/athletes?limit=4', async () => {
      if (added++ === 0) await coach.ask('PUT', `/athletes/${uuid()}`, { ...ATHLETE, name: 'Aaron' });
    });
    expect(seen.flat()).toEqual(['100 % Dee', 'Abe', 'Bea', 'Coy', 'Coy', 'Ede', 'Émile']);
    expect((await pages('/athletes')).flat()).toContain('Aaron');
  });

  test('is searched and sorted in the database; signs of LIKE are letters', async () => {
    expect((await pages('/athletes?find=coy&limit=1')).flat()).toEqual(['Coy', 'Coy']);
    expect((await pages(`/athletes?find=${encodeURIComponent('100 %')}`)).flat()).toEqual(['100 % Dee']);
    expect((await pages('/athletes?find=_be')).flat()).toEqual([]);
    const [first] = (await coach.ask<AthleteListItem[]>('GET', '/athletes?find=Ede')).body;
    const athleteId = first!.id;
    const sequenceId = uuid();
    await coach.ask('PUT', `/sequences/${sequenceId}`, SEQUENCE);
    const session = { athleteId, sequenceId, plan: SEQUENCE, startedAt: '2026-06-09T08:00:00.000Z' };
    expect((await coach.ask('PUT', `/sessions/${uuid()}`, session)).status).toBe(200);
    const sorted = await pages('/athletes?sort=last-session&limit=2');
    expect(sorted[0]![0]).toBe('Ede');
    expect(new Set(sorted.flat()).size).toBe(NAMES.length);
    // A session that arrives late was not the last one.
    await coach.ask('PUT', `/sessions/${uuid()}`, { ...session, startedAt: '2026-05-09T08:00:00.000Z' });
    expect((await coach.ask<AthleteListItem[]>('GET', '/athletes?find=Ede')).body[0]!.lastSessionAt).toBe(session.startedAt);
    expect((await coach.ask<{ lastUsedAt: string }[]>('GET', '/sequences')).body[0]!.lastUsedAt).toBe(session.startedAt);
  });

  test.each([
    ['after=x', '/after'],
    [`after=${Buffer.from('["a"]').toString('base64url')}`, '/after'],
    ['limit=0', '/limit'],
    ['sort=size', '/sort'],
    ['colour=red', '/colour'],
  ])('refuses %s', async (query, pointer) => {
    const { status, body } = await coach.ask<Problem>('GET', `/athletes?${query}`);
    expect([status, pointers(body)]).toEqual([422, [pointer]]);
  });
});
