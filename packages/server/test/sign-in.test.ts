import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Problem, WhoAmI } from '@clay-pot/contracts';
import { SignInFailureRow, SignInRow } from '../src/accounts/entities.js';
import { Clock } from '../src/http/clock.js';
import { House, PASSWORD } from './house.js';

let house: House;
let email: string;
beforeAll(async () => {
  house = await House.open('sign_in');
  ({ email } = await house.studio('willow'));
});

const tryToSignIn = (address: string, password: string) => house.stranger().ask('POST', '/sign-in', { email: address, password });

describe('signing in', () => {
  test('gives a cookie that scripts cannot read and other sites cannot send', async () => {
    const answer = await tryToSignIn(email.toUpperCase(), PASSWORD);
    expect(answer.status).toBe(201);
    const cookie = String(answer.headers['set-cookie']);
    expect(cookie).toMatch(/HttpOnly/);
    expect(cookie).toMatch(/SameSite=Lax/);
    const me = await house.stranger(cookie.split(';')[0]).ask<WhoAmI>('GET', '/sign-in');
    expect(me.body).toMatchObject({ email, studio: { name: 'willow' } });
  });

  test('the database keeps neither password nor token', async () => {
    const answer = await tryToSignIn(email, PASSWORD);
    const token = /claypot=([^;]+)/.exec(String(answer.headers['set-cookie']))![1]!;
    const rows = await house.source.getRepository(SignInRow).find();
    expect(rows.some((row) => row.tokenHash === token)).toBe(false);
    const [account] = await house.source.query('SELECT password_hash FROM accounts');
    expect(account.password_hash).toMatch(/^\$argon2id\$v=19\$m=19456,t=2,p=1\$/);
  });

  test('what a coach reads numbers in is kept with the account, for every device', async () => {
    const coach = await house.signedIn(email);
    expect((await coach.ask<WhoAmI>('GET', '/sign-in')).body.units).toEqual({ mass: 'kg', length: 'cm' });
    const pounds = { mass: 'lb', length: 'in' };
    expect((await coach.ask<WhoAmI>('PUT', '/sign-in/units', pounds)).body.units).toEqual(pounds);
    expect((await (await house.signedIn(email)).ask<WhoAmI>('GET', '/sign-in')).body.units).toEqual(pounds);
    const stones = await coach.ask<Problem>('PUT', '/sign-in/units', { mass: 'stone', length: 'in' });
    expect([stones.status, stones.body.errors?.[0]?.pointer]).toEqual([422, '/mass']);
    expect((await house.stranger().ask('PUT', '/sign-in/units', pounds)).status).toBe(401);
    await coach.ask('PUT', '/sign-in/units', { mass: 'kg', length: 'cm' });
  });

  test('signing out ends it on the server, too', async () => {
    const coach = await house.signedIn(email);
    expect((await coach.ask('DELETE', '/sign-in')).status).toBe(204);
    expect((await coach.ask('GET', '/sign-in')).status).toBe(401);
  });

  test('it runs out after thirty days', async () => {
    const coach = await house.signedIn(email);
    const clock = house.app.get(Clock);
    const real = clock.now;
    clock.now = () => new Date(Date.now() + 31 * 24 * 3600 * 1000);
    expect((await coach.ask('GET', '/sign-in')).status).toBe(401);
    clock.now = real;
    expect((await coach.ask('GET', '/sign-in')).status).toBe(200);
  });

  test('a wrong password and an unknown address get the same answer and take alike', async () => {
    const wrong = await tryToSignIn(email, 'not it');
    const unknown = await tryToSignIn('nobody@nowhere.example', 'not it');
    expect(wrong.status).toBe(401);
    expect({ ...unknown.body, instance: '' }).toEqual({ ...wrong.body, instance: '' });
    // Both pay for one argon2 verification, which is nearly all of the time; a missing one would be some twenty times quicker.
    const timeOf = async (address: string) => {
      await house.source.getRepository(SignInFailureRow).clear();
      const start = performance.now();
      await tryToSignIn(address, 'not it');
      return performance.now() - start;
    };
    // A busy machine only makes it longer: the least of some rounds, taken by turns, is what it takes.
    let [member, stranger] = [Infinity, Infinity];
    const isAlike = () => stranger > member / 3 && stranger < member * 3;
    for (let round = 0; round < 15 && (round < 3 || !isAlike()); round++) {
      member = Math.min(member, await timeOf(email));
      stranger = Math.min(stranger, await timeOf('nobody@nowhere.example'));
    }
    expect(stranger).toBeGreaterThan(member / 3);
    expect(stranger).toBeLessThan(member * 3);
  });

  test('after ten failures the address is told to wait, even with the right password; later it works again', async () => {
    await house.source.getRepository(SignInFailureRow).clear();
    for (let failure = 0; failure < 10; failure++) await tryToSignIn(email, 'not it');
    const refused = await tryToSignIn(email, PASSWORD);
    expect(refused.status).toBe(429);
    expect(Number(refused.headers['retry-after'])).toBeGreaterThan(0);
    expect(refused.body.detail).toContain('Wait');
    await house.source.query('UPDATE sign_in_failures SET at = at - INTERVAL 16 MINUTE');
    expect((await tryToSignIn(email, PASSWORD)).status).toBe(201);
  });
});

describe('who may ask', () => {
  test('no cookie, or a made-up one, is told to sign in', async () => {
    for (const browser of [house.stranger(), house.stranger('claypot=made-up')]) {
      const answer = await browser.ask('GET', '/athletes');
      expect(answer.status).toBe(401);
      expect(answer.body.type).toBe('urn:clay-pot:problem:sign-in-needed');
    }
  });

  test('writes from another site’s page are refused, from our own they are taken', async () => {
    const coach = await house.signedIn(email);
    const foreign = { origin: 'https://elsewhere.example', host: 'here.example' };
    expect((await coach.ask('DELETE', '/sign-in', undefined, foreign)).status).toBe(403);
    expect((await coach.ask('DELETE', '/sign-in', undefined, { 'sec-fetch-site': 'cross-site' })).status).toBe(403);
    expect((await coach.ask('GET', '/sign-in')).status).toBe(200);
    const own = { origin: 'https://here.example', host: 'here.example' };
    expect((await coach.ask('DELETE', '/sign-in', undefined, own)).status).toBe(204);
  });
});
