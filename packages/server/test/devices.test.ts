import { afterAll, beforeAll, describe, expect, jest, test } from '@jest/globals';
import type { DeviceMessage } from '@clay-pot/contracts';
import { lineReader, reportOf, traceOf } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { WebSocket } from 'ws';
import { ATHLETE, House, PASSWORD } from './house.js';

jest.setTimeout(20_000);
let house: House;
let port: number;
let cookie: string;
let athleteId: string;
beforeAll(async () => {
  house = await House.open('devices');
  await house.app.listen(0, '127.0.0.1');
  port = (house.app.getHttpServer().address() as { port: number }).port;
  const { email } = await house.studio('isla');
  const signedIn = await house.stranger().ask('POST', '/sign-in', { email, password: PASSWORD });
  cookie = String(signedIn.headers['set-cookie']).split(';')[0]!;
  athleteId = uuid();
  await house.stranger(cookie).ask('PUT', `/athletes/${athleteId}`, ATHLETE);
  const reading = { kind: 'maximum', of: 'grip', hand: 'left', value: 330, onDay: '2026-05-01' };
  await house.stranger(cookie).ask('PUT', `/athletes/${athleteId}/readings/${uuid()}`, reading);
});
afterAll(() => house.app.close());

interface Ended {
  code: number;
  reason: string;
  messages: DeviceMessage[];
}
/** Listens until it ends. A refused handshake has the status of its answer as code. */
function listen(setup: unknown, headers: Record<string, string> = { cookie }): Promise<Ended> {
  const text = typeof setup === 'string' ? setup : JSON.stringify(setup);
  const url = `ws://127.0.0.1:${port}/api/devices/simulated?setup=${encodeURIComponent(text)}`;
  const socket = new WebSocket(url, { headers });
  const messages: DeviceMessage[] = [];
  return new Promise((resolve) => {
    socket.on('message', (data) => messages.push(JSON.parse(String(data)) as DeviceMessage));
    socket.on('close', (code, reason) => resolve({ code, reason: String(reason), messages }));
    socket.on('unexpected-response', (_request, response) => resolve({ code: response.statusCode ?? 0, reason: '', messages }));
    socket.on('error', () => undefined);
  });
}
const trial = { kind: 'grip', hand: 'left', program: 'trial' };

describe('a simulated device', () => {
  test('streams a trial in its own time, or so many times faster, with the strength of the person who is named', async () => {
    const began = performance.now();
    const { code, messages } = await listen({ ...trial, athleteId, speed: 4 });
    expect(code).toBe(1000);
    // Five and a half seconds of a hand, four times as fast.
    expect((performance.now() - began) / 1000).toBeGreaterThan(1.2);
    expect(messages.length).toBeGreaterThan(15);
    expect(messages.at(-1)!.isOver).toBe(true);
    const samples = messages.flatMap((message) => message.samples);
    const trace = traceOf(lineReader('force')(samples)!);
    expect(trace.faults).toEqual([]);
    expect(Math.abs(trace.peakN! - 330)).toBeLessThan(20);
  });

  test('measures what is asked for: an angle, a moment at its distance, a whole all-out test', async () => {
    const samplesOf = async (setup: object) =>
      (await listen({ hand: 'left', athleteId, speed: 50, ...setup })).messages.flatMap(({ samples }) => samples);
    const angle = reportOf('angle', await samplesOf({ kind: 'angle', program: 'trial', of: 'wrist flexion' }));
    expect(angle.sort === 'angle' && angle.angle.deg).toBeGreaterThan(60);
    const near = reportOf('force', await samplesOf({ kind: 'grip', program: 'trial', of: 'wrist flexion', leverCm: 8 }));
    const far = reportOf('force', await samplesOf({ kind: 'grip', program: 'trial', of: 'wrist flexion', leverCm: 16 }));
    expect(near.sort === 'force' && far.sort === 'force' && near.trace.peakN! / far.trace.peakN!).toBeCloseTo(2, 0);
    const test = reportOf('all-out', await samplesOf({ kind: 'grip', program: 'all-out' }));
    expect(test.sort === 'all-out' && test.test.contractionsN.length).toBe(24);
  });

  test('is there for nobody who is not signed in, and for no page of another site', async () => {
    expect((await listen(trial, {})).code).toBe(401);
    expect((await listen(trial, { cookie: 'claypot=made-up' })).code).toBe(401);
    expect((await listen(trial, { cookie, origin: 'http://elsewhere.example' })).code).toBe(403);
  });

  test('says what is wrong with its setup, and knows nobody of another studio', async () => {
    expect(await listen('{')).toMatchObject({
      code: 1008,
      reason: 'setup must be JSON: a kind, a hand and a program.',
    });
    expect((await listen({ ...trial, kind: 'spoon' })).reason).toContain('/kind must be one of grip');
    expect((await listen({ ...trial, of: 'wrist flexoin' })).reason).toMatch(/^\/of must be one of wrist flexion, /);
    // A reason has room for 123 bytes: what is longer in them than in letters is cut between two letters.
    expect((await listen({ ...trial, ['ü'.repeat(110)]: 1 })).reason).toMatch(/^\/ü{60}/);
    expect((await listen({ ...trial, athleteId: uuid() })).reason).toContain('no such athlete');
  });

  test('that floods, and one that leaves in the middle, hold nothing up', async () => {
    const flood = listen({ ...trial, fault: 'flood', speed: 4 });
    const url = `ws://127.0.0.1:${port}/api/devices/simulated?setup=${encodeURIComponent(JSON.stringify(trial))}`;
    const left = new WebSocket(url, { headers: { cookie } });
    await new Promise((resolve) => left.once('message', resolve));
    left.terminate();
    const { body } = await house.stranger(cookie).ask<{ name: string }>('GET', `/athletes/${athleteId}`);
    expect(body.name).toBe(ATHLETE.name);
    const { code, messages } = await flood;
    expect(code).toBe(1000);
    expect(messages.flatMap(({ samples }) => samples).length).toBeGreaterThan(25_000);
  });
});
