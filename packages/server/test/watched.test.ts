import { beforeAll, expect, test } from '@jest/globals';
import type { WhoAmI } from '@clay-pot/contracts';
import { House, PASSWORD } from './house.js';

const logged: string[] = [];
let house: House;
let email: string;
beforeAll(async () => {
  house = await House.open('watched', { secureCookie: true, logged });
  ({ email } = await house.studio('alder'));
});

/** The lines that came of something, as they are read by whoever guards the server. */
async function linesOf(act: () => Promise<unknown>): Promise<Record<string, unknown>[]> {
  const before = logged.length;
  await act();
  return logged.slice(before).map((line) => JSON.parse(line) as Record<string, unknown>);
}
const eventsOf = async (act: () => Promise<unknown>) => (await linesOf(act)).filter(({ event }) => event !== undefined);
const signIn = (password: string) => house.stranger().ask('POST', '/sign-in', { email, password });

test('over HTTPS every cookie is for this host alone, and signing out takes it back', async () => {
  const answer = await signIn(PASSWORD);
  const cookies = [answer.headers['set-cookie']].flat().map(String);
  expect(cookies).toHaveLength(2);
  for (const cookie of cookies) {
    expect(cookie).toMatch(/^__Host-claypot/);
    expect(cookie).toMatch(/; Secure/);
    expect(cookie).toMatch(/; Path=\/(;|$)/);
    expect(cookie).not.toMatch(/Domain=/i);
  }
  const coach = house.stranger(cookies.find((each) => each.startsWith('__Host-claypot='))!.split(';')[0]);
  expect((await coach.ask<WhoAmI>('GET', '/sign-in')).body).toMatchObject({ email });
  const out = await coach.ask('DELETE', '/sign-in');
  for (const taken of [out.headers['set-cookie']].flat().map(String)) expect(taken).toMatch(/^__Host-claypot(_return)?=; .*; Secure/);
  expect((await coach.ask('GET', '/sign-in')).status).toBe(401);
});

test('signing in and out is logged with whose it was and from where, and never with what was typed', async () => {
  const [signedIn] = await eventsOf(() => signIn(PASSWORD));
  expect(signedIn).toMatchObject({ event: 'signed-in', accountId: expect.any(String), address: '127.0.0.1' });
  const refused = await linesOf(() => signIn('a wrong password'));
  expect(refused.filter(({ event }) => event !== undefined)).toMatchObject([
    { event: 'refused', status: 401, path: '/api/sign-in', address: '127.0.0.1' },
  ]);
  expect(JSON.stringify(refused)).not.toMatch(/a wrong password|alder/);
});

test('so is what is refused for who asks', async () => {
  const strange = { host: 'elsewhere.example', origin: 'https://elsewhere.example' };
  const refused = await eventsOf(async () => {
    await house.stranger().ask('GET', '/athletes');
    await house.stranger().ask('POST', '/sign-in', { email, password: PASSWORD }, { origin: strange.origin });
    await house.stranger().ask('GET', '/health', undefined, { host: strange.host });
  });
  expect(refused.map(({ status }) => status)).toEqual([401, 403, 421]);
});

test('the secret of a calendar’s address is in no line, nor what stands in a query', async () => {
  const lines = await linesOf(() => house.stranger().ask('GET', '/calendars/sEcReT-of-somebody.ics?named=Anneke'));
  expect(lines.length).toBeGreaterThan(0);
  expect(JSON.stringify(lines)).not.toMatch(/sEcReT|Anneke/);
});
