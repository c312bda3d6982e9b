import { beforeAll, beforeEach, expect, test } from '@jest/globals';
import type { Problem, ReadingsAdded, RepeatsAnswer, StoredReading } from '@clay-pot/contracts';
import type { Reading } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, pointers } from './house.js';

let house: House;
let coach: Browser;
let path: string;
beforeAll(async () => {
  house = await House.open('readings_file', { now: () => new Date('2026-06-10T10:00:00.000Z') });
  coach = await house.coach('juno');
});
beforeEach(async () => {
  const athleteId = uuid();
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
  path = `/athletes/${athleteId}/readings`;
});

const GRIP: Reading = { kind: 'maximum', of: 'grip', hand: 'left', value: 402, onDay: '2026-03-01' };
const many = (...changes: Partial<Reading>[]) => changes.map((change) => ({ id: uuid(), reading: { ...GRIP, ...change } }));
const add = (readings: object[]) => coach.ask<ReadingsAdded & Problem>('POST', path, { readings });
const list = async () => (await coach.ask<StoredReading[]>('GET', path)).body;

test('many readings are kept at once; the same file twice is stored once', async () => {
  const readings = many({}, { hand: 'right', value: 430 }, { onDay: '2026-04-01' });
  expect((await add(readings)).body).toEqual({ added: 3, duplicates: 0 });
  expect((await add(readings)).body).toEqual({ added: 0, duplicates: 3 });
  expect((await add([...readings, ...many({ onDay: '2026-05-01' })])).body).toEqual({ added: 1, duplicates: 3 });
  expect(await list()).toHaveLength(4);
});

test('where one is wrong, none is kept, and each fault is told with its place', async () => {
  const wrong = await add(many({}, { value: 0.2 }, { onDay: '2026-06-11' }, { of: 'toe' }, { value: 41 }));
  expect(wrong.status).toBe(422);
  expect(pointers(wrong.body)).toEqual([
    '/readings/1/reading/value',
    '/readings/2/reading/onDay',
    '/readings/3/reading/of',
    '/readings/4/reading/value',
  ]);
  expect(JSON.stringify(wrong.body)).toContain('was it 41.0 kg');
  expect(await list()).toEqual([]);
  expect((await add(many({ value: 41, isSure: true }))).body).toEqual({ added: 1, duplicates: 0 });
});

test('an id that another reading has undoes all of it', async () => {
  const [first] = many({});
  await add([first!]);
  const clash = await add([...many({ onDay: '2026-04-01' }), { ...first!, reading: { ...GRIP, value: 390 } }]);
  expect(clash.status).toBe(409);
  expect(await list()).toHaveLength(1);
});

test('nothing, and too much, are refused', async () => {
  expect((await add([])).status).toBe(422);
  expect((await add(many(...Array<object>(2001).fill({})))).status).toBe(422);
});

test('the studio’s own repeats are pooled over its athletes, and are no other studio’s', async () => {
  const twice = async () => {
    await coach.ask('PUT', `${path}/${uuid()}`, { ...GRIP, hand: 'right', value: 401, trials: [400, 402] });
  };
  await twice();
  const athleteId = uuid();
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
  path = `/athletes/${athleteId}/readings`;
  await twice();
  const { body } = await coach.ask<RepeatsAnswer[]>('GET', '/repeats');
  const grip = body.find(({ of }) => of === 'grip')!;
  expect(grip.sets.filter((set) => set.join() === '400,402')).toHaveLength(2);
  expect((await (await house.coach('other')).ask<RepeatsAnswer[]>('GET', '/repeats')).body).toEqual([]);
});
