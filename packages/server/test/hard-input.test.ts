import { beforeAll, describe, expect, test } from '@jest/globals';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, OWN_METHOD, OWN_MOVEMENT, SEQUENCE } from './house.js';

/** Whatever is sent, the answer is a refusal that names it: never a fault of the server’s own, and never slow. */

let house: House;
let coach: Browser;
beforeAll(async () => {
  house = await House.open('hard_input');
  coach = await house.coach('hard');
});

const nested = (depth: number) => `${'['.repeat(depth)}${']'.repeat(depth)}`;
const sendText = async (method: 'PUT' | 'POST', path: string, text: string) => {
  const { email } = await house.studio(`raw${uuid()}`);
  const signedIn = await house.stranger().ask('POST', '/sign-in', { email, password: 'correct horse battery' });
  const cookie = String(signedIn.headers['set-cookie']).split(';')[0]!;
  const headers = { cookie, 'content-type': 'application/json' };
  return house.app.inject({ method, url: `/api${path}`, headers, payload: text });
};

const block = SEQUENCE.blocks[0]!;
describe('a body of the wrong shape', () => {
  test.each<[string, string, string, unknown]>([
    ['a block that is a list', 'PUT', 'sequences', { ...SEQUENCE, blocks: [[]] }],
    ['a block that is nothing', 'PUT', 'sequences', { ...SEQUENCE, blocks: [null] }],
    ['blocks that are a text', 'PUT', 'sequences', { ...SEQUENCE, blocks: 'none' }],
    ['a title with half a character', 'PUT', 'sequences', { ...SEQUENCE, title: 'a\ud800b' }],
    ['an id named like a prototype', 'PUT', 'sequences', { ...SEQUENCE, blocks: [{ ...block, movementId: '__proto__' }] }],
    ['a method named like a prototype', 'PUT', 'sequences', { ...SEQUENCE, methodId: 'constructor' }],
    ['a number that is none', 'PUT', 'sequences', { ...SEQUENCE, budgetMin: '10' }],
    ['a caution that is a list', 'PUT', 'athletes', { ...ATHLETE, cautions: [[]] }],
    ['a thirteenth month', 'PUT', 'athletes', { ...ATHLETE, birthDate: '1990-13-01' }],
    ['a thirty-first of February', 'PUT', 'athletes', { ...ATHLETE, birthDate: '1990-02-31' }],
    ['the year nought', 'PUT', 'athletes', { ...ATHLETE, birthDate: '0000-01-01' }],
    ['the year 9999', 'PUT', 'athletes', { ...ATHLETE, birthDate: '9999-01-01' }],
    ['a ladder whose level is a list', 'PUT', 'movements', { ...OWN_MOVEMENT, ladder: [[]] }],
    ['a movement that is a list', 'PUT', 'movements', []],
    ['a method with a field too many', 'PUT', 'methods', { ...OWN_METHOD, colour: 'red' }],
  ])('%s', async (_what, method, noun, body) => {
    const answer = await coach.ask(method, `/${noun}/${uuid()}`, body);
    expect([answer.status, answer.body.errors?.length ?? 0]).toEqual([422, expect.any(Number)]);
    expect(answer.body.errors!.length).toBeGreaterThan(0);
  });

  test('a reading of something that every object has', async () => {
    const athlete = uuid();
    await coach.ask('PUT', `/athletes/${athlete}`, ATHLETE);
    const reading = { kind: 'maximum', of: '__proto__', hand: 'left', value: 300, onDay: '2026-01-01' };
    const answer = await coach.ask('PUT', `/athletes/${athlete}/readings/${uuid()}`, reading);
    expect([answer.status, answer.body.errors?.[0]?.pointer]).toEqual([422, '/of']);
  });

  test('many faults are told up to a number, not by the thousand', async () => {
    const blocks = Array.from({ length: 120 }, () => ({ wrong: true }));
    const answer = await coach.ask('PUT', `/sequences/${uuid()}`, { ...SEQUENCE, blocks });
    expect(answer.body.errors!.length).toBeLessThanOrEqual(20);
  });
});

describe('a body that is too much', () => {
  test.each<[string, 'PUT' | 'POST', string, string]>([
    ['nested two thousand deep', 'PUT', `/sequences/${uuid()}`, nested(2000)],
    ['nested in a field', 'PUT', `/athletes/${uuid()}`, JSON.stringify(ATHLETE).replace('[]', nested(2000))],
    ['a file nested twenty thousand deep', 'POST', '/sequences/import', JSON.stringify({ id: uuid(), text: nested(20_000) })],
  ])('%s', async (_what, method, path, text) => {
    expect((await sendText(method, path, text)).statusCode).toBe(422);
  });

  test('a sign-in with ninety-five thousand unknown fields is refused at once', async () => {
    const fields = Array.from({ length: 95_000 }, (_, index) => `"k${index}":1`).join(',');
    const started = performance.now();
    const headers = { 'content-type': 'application/json' };
    const answer = await house.app.inject({ method: 'POST', url: '/api/sign-in', headers, payload: `{${fields}}` });
    expect(answer.statusCode).toBe(422);
    expect(performance.now() - started).toBeLessThan(500);
  });

  test('a sequence whose timeline would have hundreds of thousands of pieces', async () => {
    const dose = { ...block.dose, sets: 20, work: { kind: 'repetitions', count: 200 } };
    const whole = { ...SEQUENCE.blocks[1]!, dose };
    const blocks = Array.from({ length: 120 }, (_, index) => ({ ...whole, id: `b${index}` }));
    const answer = await coach.ask('PUT', `/sequences/${uuid()}`, { ...SEQUENCE, blocks });
    expect(answer.status).toBe(422);
    expect(answer.body.errors![0]!.pointer).toMatch(/^\/blocks/);
  });

  test.each(['__proto__', 'constructor', 'prototype'])('a field named %s is refused, not dropped', async (name) => {
    const text = JSON.stringify(SEQUENCE).replace('{', `{"${name}": {"polluted": 1},`);
    expect((await sendText('PUT', `/sequences/${uuid()}`, text)).statusCode).toBe(422);
  });

  test('a text may hold what looks like such a field', async () => {
    const text = JSON.stringify({ ...SEQUENCE, purpose: 'a "constructor": of shapes' });
    expect((await sendText('PUT', `/sequences/${uuid()}`, text)).statusCode).toBe(200);
  });

  test('text that is no JSON', async () => {
    expect((await sendText('PUT', `/sequences/${uuid()}`, '{"title": ')).statusCode).toBe(400);
  });
});

describe('addresses and query parameters', () => {
  test.each<[string, string, string]>([
    ['a parameter where none is read', '/today?day=2026-01-01', '/day'],
    ['a parameter that a list does not know', '/sessions?limit=5&sort=up', '/sort'],
    ['a number that is none', '/sessions?limit=many', '/limit'],
    ['more than a page', '/sessions?limit=201', '/limit'],
    ['part of a number', '/sessions?limit=2.5', '/limit'],
    ['a parameter twice', '/sessions?limit=2&limit=3', '/limit'],
    ['an athlete that is no id', '/sessions?athlete=me', '/athlete'],
    ['a page that was never given', '/sessions?before=yesterday', '/before'],
    ['programmes of nobody', '/programmes?athleteId=', '/athleteId'],
  ])('%s', async (_what, path, pointer) => {
    const { status, body } = await coach.ask('GET', path);
    expect([status, body.errors?.map((error) => error.pointer)]).toEqual([422, [pointer]]);
  });

  test('what is known is read: a number as a number', async () => {
    expect((await coach.ask('GET', '/sessions?limit=200')).status).toBe(200);
  });

  test('an id that is none does not exist; capital letters do not matter', async () => {
    expect((await coach.ask('GET', '/athletes/me')).status).toBe(404);
    const id = uuid();
    await coach.ask('PUT', `/athletes/${id}`, ATHLETE);
    expect((await coach.ask('GET', `/athletes/${id.toUpperCase()}`)).status).toBe(200);
  });

  test.each([null, [], 'text', 3])('a body that is %j, where every field may be left out', async (body) => {
    expect((await sendText('POST', '/screen/verdict', JSON.stringify(body))).statusCode).toBe(422);
  });

  test('no body at all', async () => {
    const { status, body } = await coach.ask('POST', '/screen/verdict');
    expect([status, body.errors?.[0]?.message]).toEqual([422, 'must be an object']);
  });
});
