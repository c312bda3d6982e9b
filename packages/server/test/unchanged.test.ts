import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import type { Athlete, AthleteListItem, SessionPage, Today } from '@clay-pot/contracts';
import { gunzipSync } from 'node:zlib';
import { v7 as uuid } from 'uuid';
import { AnsweredBefore } from '../src/http/unchanged.interceptor.js';
import { TogetherLookup } from '../src/database/together-lookup.js';
import { RunningSessions } from '../src/sessions/running-sessions.js';
import { TodayService } from '../src/today/today.service.js';
import { ATHLETE, type Browser, House, SEQUENCE } from './house.js';

let house: House;
let coach: Browser;
beforeAll(async () => {
  house = await House.open('unchanged', { now: () => new Date('2026-06-10T10:00:00.000Z') });
  coach = await house.coach('same');
});
const names = async (who: Browser) => (await who.ask<AthleteListItem[]>('GET', '/athletes')).body.map(({ name }) => name);

describe('an answer that is kept', () => {
  test('holds until something is written, for everybody of the studio and for nobody else', async () => {
    const asked = jest.spyOn(house.app.get(TodayService), 'get');
    const id = uuid();
    const first = await coach.ask('PUT', `/athletes/${id}`, ATHLETE);
    expect(await names(coach)).toEqual([ATHLETE.name]);
    for (let turn = 0; turn < 3; turn++) await coach.ask('GET', '/today');
    expect(asked).toHaveBeenCalledTimes(1);
    const other = await house.coach('elsewhere');
    expect(await names(other)).toEqual([]);
    await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name: 'Renamed' }, { 'if-match': String(first.headers['etag']) });
    expect(await names(coach)).toEqual(['Renamed']);
    await coach.ask('GET', '/today');
    expect(asked).toHaveBeenCalledTimes(2);
    // What another studio writes changes nothing here.
    await other.ask('PUT', `/athletes/${uuid()}`, ATHLETE);
    await coach.ask('GET', '/today');
    expect(asked).toHaveBeenCalledTimes(2);
    asked.mockRestore();
  });

  test('is found once for many who ask at the same time, and keeps its version', async () => {
    const asked = jest.spyOn(house.app.get(TodayService), 'get');
    const id = uuid();
    await coach.ask('PUT', `/athletes/${id}`, ATHLETE);
    const answers = await Promise.all(Array.from({ length: 8 }, () => coach.ask<Today>('GET', '/today')));
    expect(new Set(answers.map(({ body }) => JSON.stringify(body))).size).toBe(1);
    expect(asked).toHaveBeenCalledTimes(1);
    asked.mockRestore();
    for (let turn = 0; turn < 2; turn++) {
      const { headers, body } = await coach.ask<Athlete>('GET', `/athletes/${id}`);
      expect(headers['etag']).toBe(body.etag);
    }
  });

  test('of sessions shows each set of one that is running', async () => {
    const [athleteId, sequenceId, id] = [uuid(), uuid(), uuid()];
    await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
    await coach.ask('PUT', `/sequences/${sequenceId}`, SEQUENCE);
    await coach.ask('PUT', `/sessions/${id}`, { athleteId, sequenceId, plan: SEQUENCE, startedAt: '2026-06-10T08:00:00.000Z' });
    const done = async () => (await coach.ask<SessionPage>('GET', '/sessions')).body.items.find((item) => item.id === id)?.completion;
    expect(await done()).toBe(0);
    const [block] = SEQUENCE.blocks;
    const { id: blockId, movementId, levelId } = block!;
    const set = { blockId, movementId, levelId, set: 1, side: 'both', direction: null, unit: 'repetitions' };
    const amounts = { plannedAmount: 30, doneAmount: 30, endedAt: '2026-06-10T08:01:00.000Z', corrects: null };
    // Whether it was asked never, once or often before: what is kept by then is not shown again.
    let last = 0;
    for (const times of [0, 1, 2, 3]) {
      for (let turn = 0; turn < times; turn++) expect(await done()).toBe(last);
      const blockAmounts = { ...amounts, set: times + 1, doneAmount: 6, plannedAmount: 30, endedAt: `2026-06-10T08:0${times}:00.000Z` };
      expect((await coach.ask('PUT', `/sessions/${id}/sets/${uuid()}`, { ...set, ...blockAmounts })).status).toBe(204);
      const now = (await done()) ?? 0;
      expect(now).toBeGreaterThan(last);
      last = now;
    }
  });

  test('of sessions goes out as it is while nothing is recorded of one that is running', async () => {
    const found = jest.spyOn(house.app.get(RunningSessions), 'idsIn');
    for (let turn = 0; turn < 5; turn++) await coach.ask('GET', '/sessions?limit=3');
    // Once to see what it rests on, and once to know what that was before.
    expect(found).toHaveBeenCalledTimes(2);
    found.mockRestore();
  });
});

test('many small answers are bounded like a few large ones', async () => {
  const before = house.app.get(AnsweredBefore).kept;
  await coach.ask('GET', '/class');
  const few = before.calculatedSize;
  for (let index = 0; index < 20; index++) await coach.ask('GET', `/athletes?find=nobody${index}`);
  // An empty list is two bytes: what an entry takes beside them counts.
  expect(before.calculatedSize - few).toBeGreaterThan(20 * 500);
  expect(before.maxSize).toBeLessThan(50_000_000);
});

test('a browser that reads gzip gets the same answer compressed, with its version', async () => {
  const plain = await coach.ask<AthleteListItem[]>('GET', '/athletes');
  for (let turn = 0; turn < 40; turn++) await coach.ask('PUT', `/athletes/${uuid()}`, { ...ATHLETE, name: `Extra ${turn}` });
  const { headers, rawPayload } = await house.app.inject({
    url: '/api/athletes',
    headers: { cookie: coach.cookie, 'accept-encoding': 'gzip' },
  });
  expect(headers).toMatchObject({ 'content-encoding': 'gzip', vary: 'accept-encoding' });
  const people = JSON.parse(gunzipSync(rawPayload).toString()) as AthleteListItem[];
  expect(people).toHaveLength(plain.body.length + 40);
});

test('what is asked for together is one question; who asks later is not answered by an earlier one', async () => {
  const asked: string[][] = [];
  let answer = (): void => undefined;
  const lookup = new TogetherLookup<number>((keys) => {
    asked.push([...keys]);
    const turn = asked.length;
    return new Promise((resolve) => (answer = () => resolve(new Map(keys.map((key) => [key, turn])))));
  });
  const [first, same, other] = [lookup.of('a'), lookup.of('a'), lookup.of('b')];
  await new Promise(setImmediate);
  expect(asked).toEqual([['a', 'b']]);
  const answerFirst = answer;
  const later = lookup.of('a');
  await new Promise(setImmediate);
  expect(asked).toEqual([['a', 'b'], ['a']]);
  answer();
  answerFirst();
  expect(await Promise.all([first, same, other, later])).toEqual([1, 1, 1, 2]);
});
