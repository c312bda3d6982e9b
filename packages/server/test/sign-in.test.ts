import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Problem, WhoAmI } from '@clay-pot/contracts';
import { SignInFailureRow, SignInRow } from '../src/accounts/entities.js';
import { Clock } from '../src/http/clock.js';
import { proxyAddresses } from '../src/http/hosts.js';
import { House, PASSWORD } from './house.js';

let house: House;
let email: string;
beforeAll(async () => {
  house = await House.open('sign_in', { trustedProxies: ['localhost'] });
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

  /** Does something while time stands still: on a slow machine a wait would be over before the next try. */
  async function whileTimeStands(work: () => Promise<void>): Promise<void> {
    const clock = house.app.get(Clock);
    const real = clock.now;
    const now = new Date();
    clock.now = () => now;
    await work().finally(() => (clock.now = real));
    await house.source.getRepository(SignInFailureRow).clear();
  }

  test('of many guesses sent at once no more are checked than of those sent one after the other', () =>
    whileTimeStands(async () => {
      await house.source.getRepository(SignInFailureRow).clear();
      const answers = await Promise.all(Array.from({ length: 120 }, () => tryToSignIn(email, 'not it')));
      const said = answers.map(({ status }) => status);
      expect(said.filter((status) => status === 401)).toHaveLength(5);
      expect(said.filter((status) => status === 429)).toHaveLength(115);
      expect(await house.source.getRepository(SignInFailureRow).count()).toBe(5);
    }));

  test('each wrong guess doubles the wait, up to a quarter of an hour', async () => {
    const failures = house.source.getRepository(SignInFailureRow);
    await failures.clear();
    const clock = house.app.get(Clock);
    const real = clock.now;
    let atS = Date.now() / 1000;
    clock.now = () => new Date(atS * 1000);
    const waits: number[] = [];
    for (let guess = 0; guess < 18; guess++) {
      let answer = await tryToSignIn(email, 'not it');
      if (answer.status === 429) {
        const waitS = Number(answer.headers['retry-after']);
        waits.push(waitS);
        atS += waitS;
        answer = await tryToSignIn(email, 'not it');
      }
      expect(answer.status).toBe(401);
    }
    expect(waits).toEqual([1, 2, 4, 8, 16, 32, 64, 128, 256, 512, 900, 900, 900]);
    clock.now = real;
    await failures.clear();
  });

  test('a guesser elsewhere, or at a hundred places, does not lock the right person out of a device that they know', () =>
    whileTimeStands(async () => {
      await house.source.getRepository(SignInFailureRow).clear();
      const from = (address: string, password: string, cookie?: string) =>
        house.stranger(cookie).ask('POST', '/sign-in', { email, password }, { 'x-forwarded-for': address });
      const first = await from('203.0.113.9', PASSWORD);
      const device = /claypot_known=[^;]+/.exec(String(first.headers['set-cookie']))![0];
      for (let guess = 0; guess < 8; guess++) await from('198.51.100.1', 'not it');
      expect((await from('198.51.100.1', PASSWORD)).status).toBe(429);
      expect((await from('203.0.113.9', PASSWORD)).status).toBe(201);
      for (let at = 0; at < 120; at++) await from(`192.0.2.${at}`, 'not it');
      expect((await from('203.0.113.77', PASSWORD)).status).toBe(429);
      expect((await from('203.0.113.77', PASSWORD, device)).status).toBe(201);
      // A device that was made up, or that knows another account, is none.
      expect((await from('203.0.113.77', PASSWORD, 'claypot_known=made-up')).status).toBe(429);
      const other = await house.studio('birch');
      const birch = await house.stranger().ask('POST', '/sign-in', { email: other.email, password: PASSWORD });
      const foreign = /claypot_known=[^;]+/.exec(String(birch.headers['set-cookie']))![0];
      expect((await from('203.0.113.77', PASSWORD, foreign)).status).toBe(429);
    }));

  test('after some failures the address is told to wait, even with the right password; later it works again', async () => {
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

describe('where it is asked', () => {
  test('under a name that is not ours nobody is answered; by number, by our own names and those allowed they are', async () => {
    const coach = await house.signedIn(email);
    const asked = async (host: string) => (await coach.ask('GET', '/sign-in', undefined, { host })).status;
    for (const host of ['elsewhere.example', 'localhost.elsewhere.example', 'here.example.evil', '127.0.0.1.evil.example']) {
      expect([host, await asked(host)]).toEqual([host, 421]);
    }
    for (const host of ['localhost:4173', '127.0.0.1', '[::1]:80', '192.168.1.20:4173', 'here.example', 'HERE.example.']) {
      expect([host, await asked(host)]).toEqual([host, 200]);
    }
  });

  test('a proxy that has no address is named, before anything starts', async () => {
    await expect(proxyAddresses(['10.0.0.0/8', 'no-such-proxy.invalid'])).rejects.toThrow('“no-such-proxy.invalid” has no address');
    expect(await proxyAddresses(['10.0.0.0/8', '::1'])).toEqual(['10.0.0.0/8', '::1']);
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
