import type { SequenceTextAnswer } from '@clay-pot/contracts';
import type { Grade } from '@clay-pot/core';
import { beforeAll, expect, test } from '@jest/globals';
import { type Browser, House, pointers } from './house.js';

let coach: Browser;
let neighbour: Browser;
beforeAll(async () => {
  const house = await House.open('grades', { now: () => new Date('2026-05-04T10:00:00Z') });
  coach = await house.coach('grades');
  neighbour = await house.coach('next-door');
});

const GREY: Grade = { kind: 'spring', name: 'Grey', kg: 18.4 };
const RED: Grade = { kind: 'band', name: 'Red', kg: 1.2 };
const put = (grades: unknown, who = coach) => who.ask<Grade[]>('PUT', '/grades', { grades });
const list = async (who = coach) => (await who.ask<Grade[]>('GET', '/grades')).body;

test('springs and bands are kept as one list, the studio’s alone', async () => {
  expect(await list()).toEqual([]);
  expect((await put([RED, { ...GREY, name: ' Grey ' }])).status).toBe(200);
  expect(await list()).toEqual([GREY, RED]);
  expect(await list(neighbour)).toEqual([]);
  await put([RED], neighbour);
  expect(await list()).toEqual([GREY, RED]);
  await put([GREY]);
  expect(await list()).toEqual([GREY]);
});

test.each<[string, unknown, string[]]>([
  ['the same name twice', [GREY, { ...GREY, kg: 20 }], ['/grades/1/name']],
  ['a band too strong', [{ ...RED, kg: 150 }], ['/grades/0/kg']],
  ['no number', [{ ...RED, kg: 'strong' }], ['/grades/0/kg']],
  ['another kind', [{ ...RED, kind: 'rope' }], ['/grades/0/kind']],
  ['no list', 'grey', ['/grades']],
])('%s is refused, and the list stays', async (_what, grades, where) => {
  await put([GREY]);
  const { status, body } = await put(grades);
  expect([status, pointers(body as never)]).toEqual([422, where]);
  expect(await list()).toEqual([GREY]);
});

test('two lists sent at once leave one of them whole', async () => {
  const lists = [
    [GREY, RED],
    [{ ...GREY, name: 'Blue' }],
    [
      { ...RED, name: 'Green' },
      { ...RED, name: 'Black' },
    ],
  ];
  const names = (grades: readonly Grade[]) => grades.map(({ name }) => name).toSorted();
  for (let round = 0; round < 5; round++) {
    const answers = await Promise.all(lists.map((grades) => put(grades)));
    expect(answers.map(({ status }) => status)).toEqual([200, 200, 200]);
    expect(lists.map(names)).toContainEqual(names(await list()));
  }
});

test('a text may name them', async () => {
  await put([GREY]);
  const { body } = await coach.ask<SequenceTextAnswer>('POST', '/sequences/read', {
    text: 'Hands\nstrength\nGripper close, light: 3x8 grey spring',
  });
  expect(body.document.blocks[0]?.dose.load).toEqual({ springKg: 18.4 });
});
