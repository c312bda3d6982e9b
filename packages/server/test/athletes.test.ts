import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Athlete, AthleteListItem } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, pointers } from './house.js';

let coach: Browser;
beforeAll(async () => {
  coach = await (await House.open('athletes')).coach('willow');
});

const put = <T = Athlete>(id: string, change: object, headers = {}) =>
  coach.ask<T>('PUT', `/athletes/${id}`, { ...ATHLETE, ...change }, headers);

describe('athletes', () => {
  test('are kept whole, with an ETag', async () => {
    const id = uuid();
    const made = await put(id, { cautions: [{ caution: 'arthritis', note: 'both' }] });
    expect(made.status).toBe(200);
    expect(made.body).toEqual({ ...ATHLETE, id, cautions: [{ caution: 'arthritis', note: 'both' }], etag: '"1"' });
    expect(made.headers['etag']).toBe('"1"');
    expect((await coach.ask<Athlete>('GET', `/athletes/${id}`)).body).toEqual(made.body);
  });

  test('what is not known stays not known', async () => {
    const id = uuid();
    const blank = { birthDate: null, statureCm: null, massKg: null };
    expect((await put(id, blank)).body).toMatchObject(blank);
  });

  test('creating twice with the same content is one creation; with another it needs the version', async () => {
    const id = uuid();
    await put(id, {});
    expect((await put(id, {})).status).toBe(200);
    const other = await put<never>(id, { name: 'Somebody Else' });
    expect(other.status).toBe(428);
    const all = await coach.ask<AthleteListItem[]>('GET', '/athletes');
    expect(all.body.filter((athlete) => athlete.id === id)).toHaveLength(1);
  });

  test('a stale edit is refused with what stands', async () => {
    const id = uuid();
    const { body } = await put(id, {});
    expect((await put(id, { name: 'First' }, { 'if-match': body.etag })).status).toBe(200);
    const stale = await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name: 'Second' }, { 'if-match': body.etag });
    expect(stale.status).toBe(412);
    expect(stale.body['current']).toMatchObject({ name: 'First', etag: '"2"' });
  });

  test.each<[string, object, string, string]>([
    ['an empty name', { name: '' }, '/name', 'must not be empty'],
    ['a stature outside 120–230 cm', { statureCm: 96 }, '/statureCm', '120–230 cm'],
    ['a mass outside 25–200 kg', { massKg: 999 }, '/massKg', '25–200 kg'],
    ['a day that is none', { birthDate: '1.4.1990' }, '/birthDate', 'like 2026-05-31'],
    ['a birth in the future', { birthDate: '2100-01-01' }, '/birthDate', 'today'],
    ['an unknown field', { shoeSize: 43 }, '/shoeSize', 'not a known field'],
    ['an unknown caution', { cautions: [{ caution: 'bad luck' }] }, '/cautions/0/caution', 'must be one of numbness'],
    ['a caution twice', { cautions: [{ caution: 'arthritis' }, { caution: 'arthritis' }] }, '/cautions/1/caution', 'twice'],
    ['half a clearance', { cautions: [{ caution: 'numbness', clearedOn: '2026-01-01' }] }, '/cautions/0/clearedBy', 'both'],
    ['a thing nobody knows', { equipment: ['trapeze'] }, '/equipment/0', 'one of mat'],
  ])('%s is refused at its field', async (_what, change, pointer, words) => {
    const answer = await coach.ask('PUT', `/athletes/${uuid()}`, { ...ATHLETE, ...change });
    expect(answer.status).toBe(422);
    expect(answer.headers['content-type']).toContain('application/problem+json');
    expect(pointers(answer.body)).toEqual([pointer]);
    expect(answer.body.errors![0]!.message).toContain(words);
  });

  test('several faults are told at once', async () => {
    const answer = await coach.ask('PUT', `/athletes/${uuid()}`, { ...ATHLETE, name: '', massKg: 1, sex: 'x' });
    expect(pointers(answer.body).sort()).toEqual(['/massKg', '/name', '/sex']);
  });

  test('text that is not JSON, and text that is far too long', async () => {
    const broken = await coach.ask('PUT', `/athletes/${uuid()}`, '{"name": ', { 'content-type': 'application/json' });
    expect(broken.status).toBe(400);
    const huge = await coach.ask('PUT', `/athletes/${uuid()}`, { ...ATHLETE, notes: 'x'.repeat(1_100_000) });
    expect(huge.status).toBe(413);
    expect(huge.body.detail).toContain('1 MiB');
  });
});
