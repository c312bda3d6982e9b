import { beforeAll, expect, test } from '@jest/globals';
import { sentenceText } from '@clay-pot/core';
import type { ClassRow } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House } from './house.js';

let house: House;
let coach: Browser;
beforeAll(async () => {
  house = await House.open('class', { now: () => new Date('2026-06-10T10:00:00.000Z') });
  coach = await house.coach('juno');
});

test('all of the studio side by side, who needs a look first, with why; another studio sees none of it', async () => {
  const ids = { referred: uuid(), uneven: uuid(), unknown: uuid() };
  await coach.ask('PUT', `/athletes/${ids.unknown}`, { ...ATHLETE, name: 'Nobody Known' });
  await coach.ask('PUT', `/athletes/${ids.uneven}`, { ...ATHLETE, name: 'One Sided' });
  await coach.ask('PUT', `/athletes/${ids.referred}`, { ...ATHLETE, name: 'Numb Hand', cautions: [{ caution: 'numbness', hand: 'left' }] });
  const add = (hand: string, value: number, onDay = '2026-06-01') =>
    coach.ask('PUT', `/athletes/${ids.uneven}/readings/${uuid()}`, { kind: 'maximum', of: 'grip', hand, value, onDay });
  await add('left', 280);
  await add('right', 430);
  // A hold is not what a class is compared by, but it is measured all the same.
  await coach.ask('PUT', `/athletes/${ids.uneven}/readings/${uuid()}`, {
    kind: 'hold',
    of: 'hang',
    hand: 'left',
    value: 30,
    onDay: '2026-06-08',
  });
  const { body } = await coach.ask<ClassRow[]>('GET', '/class');
  const mine = body.filter(({ athleteId }) => Object.values(ids).includes(athleteId));
  expect(mine.map(({ name }) => name)).toEqual(['Numb Hand', 'One Sided', 'Nobody Known']);
  expect(mine[0]!.reasons[0]).toBe('Numbness or tingling, left hand: unloaded only');
  expect(mine[1]).toMatchObject({ gripN: { left: 280, right: 430 }, extensionDeg: { left: null, right: null }, measuredOn: '2026-06-08' });
  expect(mine[1]!.reasons.map((reason) => sentenceText(reason)).join()).toContain('grip: left 35 % lower');
  expect(mine[2]!.reasons).toEqual(['check-in due: no check-in yet', 'never tested', 'no session yet']);
  const other = await house.coach('another');
  expect((await other.ask<ClassRow[]>('GET', '/class')).body.some(({ name }) => name === 'Numb Hand')).toBe(false);
});
