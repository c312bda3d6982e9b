import { beforeAll, describe, expect, test } from '@jest/globals';
import type { AthleteListItem, FrontDoor, Problem, SetUpRequest, WhoAmI } from '@clay-pot/contracts';
import { type Answer, House, pointers } from './house.js';

const CODE = 'ABCDE-23456';
const SET_UP: SetUpRequest = {
  ...{ code: CODE, studio: 'Tideline', name: 'Isla Penrose', email: 'Isla@tideline.example', password: 'ten letters or so' },
  timeZone: 'Pacific/Auckland',
};
const cookiesOf = ({ headers }: Answer<unknown>): string =>
  [headers['set-cookie']]
    .flat()
    .map((cookie) => String(cookie).split(';')[0]!)
    .filter((cookie) => !cookie.endsWith('='))
    .join('; ');

let house: House;
beforeAll(async () => {
  house = await House.open('front_door', { seedDemo: true, setUpCode: CODE });
});

describe('the first studio of its own', () => {
  const look = async () => (await house.stranger().ask<FrontDoor>('GET', '/front-door')).body;
  const setUp = (change: Partial<SetUpRequest> = {}) => house.stranger().ask('POST', '/front-door/studio', { ...SET_UP, ...change });

  test.each([
    ['/code', { code: 'WRONG-CODE2' }],
    ['/password', { password: 'short' }],
    ['/timeZone', { timeZone: 'Mars/Olympus' }],
    ['/studio', { studio: ' ' }],
    ['/email', { email: 'coach@lanternfield.example' }],
  ])('is refused with the field that is wrong: %s', async (pointer, change) => {
    const answer = await setUp(change);
    expect([answer.status, pointers(answer.body)]).toEqual([422, [pointer]]);
    expect(await look()).toEqual({ canSetUp: true, hasDemo: true });
  });

  test('of two at once one is made; it is empty, in its own time zone, and no third follows', async () => {
    const both = await Promise.all([setUp(), setUp({ email: 'other@tideline.example' })]);
    expect(both.filter(({ status }) => status === 200)).toHaveLength(1);
    const coach = house.stranger(cookiesOf(both.find(({ status }) => status === 200)!));
    const { body: me } = await coach.ask<WhoAmI>('GET', '/sign-in');
    expect(me).toMatchObject({ name: 'Isla Penrose', studio: { name: 'Tideline', timeZone: 'Pacific/Auckland', isDemo: false } });
    expect((await coach.ask<AthleteListItem[]>('GET', '/athletes')).body).toEqual([]);
    expect(await look()).toEqual({ canSetUp: false, hasDemo: true });
    expect((await setUp({ email: 'third@tideline.example' })).status).toBe(409);
    await house.signedIn(me.email, SET_UP.password);
  });

  test('guessing the code is slowed down', async () => {
    const guesses: number[] = [];
    for (let guess = 0; guess < 12; guess++) guesses.push((await setUp({ code: `GUESS-${guess}` })).status);
    expect(guesses.at(-1)).toBe(429);
  });
});

describe('visiting the demo', () => {
  test('needs no account, and leaving signs out', async () => {
    const visit = await house.stranger().ask<WhoAmI>('POST', '/front-door/demo');
    expect(visit.body.studio).toMatchObject({ name: 'Lanternfield Hall', isDemo: true });
    const visitor = house.stranger(cookiesOf(visit));
    expect((await visitor.ask('GET', '/sign-in')).status).toBe(200);
    expect((await visitor.ask('DELETE', '/front-door/demo')).status).toBe(204);
    expect((await visitor.ask('GET', '/sign-in')).status).toBe(401);
  });

  test('from one’s own studio leads back to it, and the demo sees nothing of it', async () => {
    const { email } = await house.studio('tideline');
    const signIn = await house.stranger().ask<WhoAmI>('POST', '/sign-in', { email, password: 'correct horse battery' });
    const own = cookiesOf(signIn);
    const visit = await house.stranger(own).ask<WhoAmI>('POST', '/front-door/demo');
    const visitor = house.stranger(cookiesOf(visit));
    expect((await visitor.ask<AthleteListItem[]>('GET', '/athletes')).body).toHaveLength(12);
    const left = await visitor.ask('DELETE', '/front-door/demo');
    const back = await house.stranger(cookiesOf(left)).ask<WhoAmI>('GET', '/sign-in');
    expect(back.body).toMatchObject({ email, studio: { isDemo: false } });
    // The visit itself is over.
    expect((await visitor.ask('GET', '/athletes')).status).toBe(401);
  });

  test('signing out while visiting signs out of both', async () => {
    const { email } = await house.studio('harbour');
    const signIn = await house.stranger().ask('POST', '/sign-in', { email, password: 'correct horse battery' });
    const visit = await house.stranger(cookiesOf(signIn)).ask('POST', '/front-door/demo');
    expect((await house.stranger(cookiesOf(visit)).ask('DELETE', '/sign-in')).status).toBe(204);
    expect((await house.stranger(cookiesOf(signIn)).ask('GET', '/sign-in')).status).toBe(401);
  });

  test('is refused where there is none, and nobody sets up without a code', async () => {
    const bare = await House.open('bare_door');
    expect((await bare.stranger().ask<FrontDoor>('GET', '/front-door')).body).toEqual({ canSetUp: false, hasDemo: false });
    expect((await bare.stranger().ask('POST', '/front-door/demo')).status).toBe(409);
    const answer = await bare.stranger().ask<Problem>('POST', '/front-door/studio', SET_UP);
    expect([answer.status, pointers(answer.body)]).toEqual([422, ['/code']]);
  });
});
