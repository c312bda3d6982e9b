import { METHODS } from '@clay-pot/core/library';
import { beforeAll, describe, expect, test } from '@jest/globals';
import type { StoredMethod, StoredSequence } from '@clay-pot/contracts';
import { encodeSequence } from '@clay-pot/core/exchange';
import { v7 as uuid } from 'uuid';
import { type Browser, House, OWN_METHOD, pointers, SEQUENCE } from './house.js';

let coach: Browser;
beforeAll(async () => {
  const house = await House.open('methods');
  coach = await house.coach('methods');
});

const put = (id: string, body: unknown, headers = {}) => coach.ask<StoredMethod>('PUT', `/methods/${id}`, body, headers);
const putSequence = (change: object) => coach.ask<StoredSequence>('PUT', `/sequences/${uuid()}`, { ...SEQUENCE, ...change });

describe('a studio’s own methods', () => {
  test('are stored, changed under their version, taken off and put back', async () => {
    const id = uuid();
    const { status, body } = await put(id, OWN_METHOD);
    expect([status, body.method]).toEqual([200, { ...OWN_METHOD, id }]);
    expect((await put(id, OWN_METHOD)).status).toBe(200);
    const changed = await put(id, { ...OWN_METHOD, sides: 'together' }, { 'if-match': body.etag });
    expect([changed.status, changed.body.method.sides]).toEqual([200, 'together']);
    expect((await put(id, OWN_METHOD, { 'if-match': body.etag })).status).toBe(412);
    expect((await coach.ask<StoredMethod>('DELETE', `/methods/${id}`)).body.removed).toBe(true);
    expect((await coach.ask<StoredMethod>('POST', `/methods/${id}/restore`)).body.removed).toBe(false);
    expect((await coach.ask<StoredMethod[]>('GET', '/methods')).body.map((stored) => stored.id)).toEqual([id]);
  });

  test('refuse what is no school, no number within bounds, and unknown fields', async () => {
    const wrong = { ...OWN_METHOD, elbow: 'locked', effortCeilingPercent: 140, mood: 'good' };
    const { status, body } = await put(uuid(), wrong);
    expect([status, pointers(body as never).sort()]).toEqual([422, ['/effortCeilingPercent', '/elbow', '/mood']]);
  });
});

describe('sequences and their method', () => {
  test('go by a shipped method or an own one, and no other', async () => {
    const id = uuid();
    await put(id, OWN_METHOD);
    for (const methodId of [METHODS['careful-return'].id, id]) {
      const { status, body } = await putSequence({ methodId });
      expect([status, body.document.methodId]).toEqual([200, methodId]);
    }
    const wrong = await putSequence({ methodId: 'nobody-knows' });
    expect([wrong.status, pointers(wrong.body as never)]).toEqual([422, ['/methodId']]);
    const text = encodeSequence({ ...SEQUENCE, methodId: 'nobody-knows' });
    const file = await coach.ask('POST', '/sequences/import', { id: uuid(), text });
    expect([file.status, pointers(file.body)]).toEqual([422, ['/methodId']]);
  });

  test('mute a check with a reason, never a rule of safety', async () => {
    const mutes = [{ check: 'fast-motion', reason: 'Before racing.' }];
    expect((await putSequence({ mutes })).body.document.mutes).toEqual(mutes);
    for (const [mute, pointer] of [
      [{ check: 'not-cleared', reason: 'No.' }, '/mutes/0/check'],
      [{ check: 'nonsense', reason: 'No.' }, '/mutes/0/check'],
      [{ check: 'fast-motion', reason: '' }, '/mutes/0/reason'],
    ] as const) {
      const { status, body } = await putSequence({ mutes: [mute] });
      expect([status, pointers(body as never)]).toEqual([422, [pointer]]);
    }
  });
});
