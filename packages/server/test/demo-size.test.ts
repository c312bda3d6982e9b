import { expect, test } from '@jest/globals';
import type { AthleteListItem, ClassRow, SessionPage } from '@clay-pot/contracts';
import { readDemoSize, USUAL_DEMO } from '../src/database/demo/demo-size.js';
import { DEMO_SIGN_IN, seedWhenEmpty } from '../src/database/demo/seed.js';
import { House } from './house.js';

const NOW = new Date('2026-06-10T10:00:00.000Z');

test.each([
  [undefined, USUAL_DEMO],
  ['', USUAL_DEMO],
  ['on', USUAL_DEMO],
  ['off', null],
  ['studio:200,years:2', { athletes: 200, years: 2 }],
])('DEMO=%s is read', (text, size) => expect(readDemoSize(text)).toEqual(size));

test.each(['yes', 'studio:200', 'studio:3,years:2', 'studio:200,years:0', 'studio:9999,years:1', 'studio:2e2,years:2'])(
  'DEMO=%s is refused',
  (text) => expect(() => readDemoSize(text)).toThrow('studio:200,years:2'),
);

test('a larger demo has its people with a year of sessions each, retested and sorted in', async () => {
  const house = await House.open('demo_size', { now: () => NOW });
  await seedWhenEmpty(house.source, NOW, { athletes: 14, years: 1 });
  const coach = await house.signedIn(DEMO_SIGN_IN.email, DEMO_SIGN_IN.password);
  const { body: people } = await coach.ask<AthleteListItem[]>('GET', '/athletes');
  expect(people).toHaveLength(14);
  expect(new Set(people.map(({ name }) => name)).size).toBe(14);
  const more = people.find(({ name }) => name === 'Adaeze Abbink')!;
  const { body } = await coach.ask<SessionPage>('GET', `/sessions?athlete=${more.id}&limit=200`);
  // Four a week but for some that were missed.
  expect(body.items.length).toBeGreaterThan(180);
  expect(more.lastSessionAt).toBe(body.items[0]!.startedAt);
  const { body: table } = await coach.ask<ClassRow[]>('GET', '/class');
  expect(table.find(({ athleteId }) => athleteId === more.id)?.gripN.left).toBeGreaterThan(100);
});
