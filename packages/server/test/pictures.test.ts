import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Problem, StoredPicture } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, jpegOf, PICTURE, pointers } from './house.js';

let house: House;
let coach: Browser;
let path: string;
beforeAll(async () => {
  house = await House.open('pictures', { now: () => new Date('2026-06-10T10:00:00.000Z') });
  coach = await house.coach('juno');
  const athleteId = uuid();
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
  path = `/athletes/${athleteId}/pictures`;
});
const put = (id: string, change: object = {}) => coach.ask<Problem>('PUT', `${path}/${id}`, { ...PICTURE, ...change });

describe('pictures', () => {
  test('are kept with who agreed, listed without their bytes, and gone when consent is taken back', async () => {
    const id = uuid();
    for (let time = 0; time < 2; time++) expect((await put(id)).status).toBe(200);
    const { body } = await coach.ask<StoredPicture[]>('GET', path);
    expect(body).toEqual([{ id, ...PICTURE, jpegBase64: undefined }].map(({ jpegBase64: _no, ...rest }) => rest));
    const bytes = await coach.ask('GET', `${path}/${id}`);
    expect(bytes.status).toBe(200);
    expect(String(bytes.headers['content-type'])).toBe('image/jpeg');
    expect(String(bytes.headers['cache-control'])).toBe('no-store');
    expect((await put(id, { jpegBase64: jpegOf(1600, 1201).toString('base64') })).status).toBe(409);
    expect((await coach.ask('DELETE', `${path}/${id}`)).status).toBe(204);
    expect((await coach.ask('GET', `${path}/${id}`)).status).toBe(404);
    expect((await coach.ask<StoredPicture[]>('GET', path)).body).toEqual([]);
    const [{ left }] = await house.source.query('SELECT COUNT(*) AS `left` FROM pictures');
    expect(Number(left)).toBe(0);
  });

  test('without consent, without a picture, or of tomorrow are refused, naming the field', async () => {
    const refused = async (change: object) => pointers((await put(uuid(), change)).body);
    expect(await refused({ consentBy: '' })).toEqual(['/consentBy']);
    expect(await refused({ consentOn: undefined })).toEqual(['/consentOn']);
    expect(await refused({ consentOn: '2026-06-11' })).toEqual(['/consentOn']);
    expect(await refused({ jpegBase64: Buffer.alloc(120, 7).toString('base64') })).toEqual(['/jpegBase64']);
    const withoutFrame = Buffer.concat([Buffer.from([0xff, 0xd8, 0xff, 0xe0]), Buffer.alloc(120, 7)]);
    expect(await refused({ jpegBase64: withoutFrame.toString('base64') })).toEqual(['/jpegBase64']);
    // A few hundred bytes that would be unpacked into gigabytes.
    expect(await refused({ jpegBase64: jpegOf(65_000, 65_000).toString('base64') })).toEqual(['/jpegBase64']);
    expect(await refused({ jpegBase64: jpegOf(0, 400).toString('base64') })).toEqual(['/jpegBase64']);
    expect(await refused({ jpegBase64: '~'.repeat(200) })).toEqual(['/jpegBase64']);
    expect(await refused({ jpegBase64: 'A'.repeat(900_001) })).toEqual(['/jpegBase64']);
    expect(await refused({ points: PICTURE.points.slice(1) })).toEqual(['/points']);
    expect(await refused({ deg: 200 })).toEqual(['/deg']);
  });
});
