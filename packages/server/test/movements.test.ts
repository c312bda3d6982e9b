import { beforeAll, describe, expect, test } from '@jest/globals';
import type { StoredMovement, StoredReading, StoredSequence } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, OWN_MOVEMENT, pointers, SEQUENCE } from './house.js';

let coach: Browser;
beforeAll(async () => {
  const house = await House.open('movements', { now: () => new Date('2026-05-04T10:00:00Z') });
  coach = await house.coach('movements');
});

const put = (id: string, body: unknown, headers = {}) => coach.ask<StoredMovement>('PUT', `/movements/${id}`, body, headers);

describe('a studio’s own movements', () => {
  test('are stored, used in sequences, led and recorded like the shipped ones', async () => {
    const id = uuid();
    const { status, body } = await put(id, OWN_MOVEMENT);
    expect([status, body.movement.name, body.movement.id]).toEqual([200, 'Own hold', id]);
    expect((await put(id, OWN_MOVEMENT)).status).toBe(200);
    const [level] = body.movement.ladder;
    const block = { id: 'b0', phase: 'skill', movementId: id, levelId: level.id, dose: level.dose };
    const sequence = { ...SEQUENCE, title: 'With our own', blocks: [block] };
    const sequenceId = uuid();
    expect((await coach.ask<StoredSequence>('PUT', `/sequences/${sequenceId}`, sequence)).status).toBe(200);
    const list = await coach.ask<{ id: string; durationMs: number }[]>('GET', '/sequences');
    expect(list.body.find((item) => item.id === sequenceId)!.durationMs).toBeGreaterThan(40_000);
    const athleteId = uuid();
    await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
    const sessionId = uuid();
    const begun = { athleteId, sequenceId, plan: sequence, startedAt: '2026-05-04T08:00:00.000Z' };
    expect((await coach.ask('PUT', `/sessions/${sessionId}`, begun)).status).toBe(200);
    const set = {
      blockId: 'b0',
      movementId: id,
      levelId: level.id,
      set: 1,
      side: 'both',
      direction: null,
      unit: 'seconds',
      plannedAmount: 20,
      doneAmount: 20,
    };
    const done = { ...set, endedAt: '2026-05-04T08:01:00.000Z', corrects: null };
    expect((await coach.ask('PUT', `/sessions/${sessionId}/sets/${uuid()}`, done)).status).toBeLessThan(300);
    const etag = body.etag;
    const shorter = { ...OWN_MOVEMENT, ladder: OWN_MOVEMENT.ladder.slice(1) };
    const refused = await coach.ask('PUT', `/movements/${id}`, shorter, { 'if-match': etag });
    expect([refused.status, refused.body.detail]).toEqual([
      409,
      'The level “Hips back, wedge under the heels” is used in sequences or records, so it can’t be removed.',
    ]);
    const lastGone = { ...OWN_MOVEMENT, ladder: OWN_MOVEMENT.ladder.slice(0, -1) };
    const kept = await put(id, lastGone, { 'if-match': etag });
    expect([kept.status, kept.body.movement.ladder.length]).toEqual([200, OWN_MOVEMENT.ladder.length - 1]);
    expect((await put(id, OWN_MOVEMENT, { 'if-match': etag })).status).toBe(412);
    const removed = await coach.ask<StoredMovement>('DELETE', `/movements/${id}`);
    expect(removed.body.removed).toBe(true);
    expect((await coach.ask('GET', `/sequences/${sequenceId}`)).status).toBe(200);
    expect((await coach.ask<StoredMovement>('POST', `/movements/${id}/restore`)).body.removed).toBe(false);
  });

  test('a change that sequences or records could not be carried out with is refused, and nothing of it is stored', async () => {
    const id = uuid();
    const { etag } = (await put(id, OWN_MOVEMENT)).body;
    const [level] = OWN_MOVEMENT.ladder;
    const block = { id: 'b0', phase: 'skill', movementId: id, levelId: level.id, dose: level.dose };
    const sequenceId = uuid();
    const sequence = { ...SEQUENCE, title: 'Counted so', blocks: [block] };
    expect((await coach.ask('PUT', `/sequences/${sequenceId}`, sequence)).status).toBe(200);
    const ladder = OWN_MOVEMENT.ladder.map((entry) => ({ ...entry, dose: { ...entry.dose, sides: 'left' } }));
    const change = { ...OWN_MOVEMENT, sides: ['left'], ladder };
    const refused = await coach.ask('PUT', `/movements/${id}`, change, { 'if-match': etag });
    expect([refused.status, refused.body.detail]).toEqual([409, expect.stringContaining('“Counted so” uses it')]);
    expect((await coach.ask<StoredMovement>('GET', `/movements/${id}`)).body.etag).toBe(etag);
    for (const path of ['/sequences', '/today']) expect((await coach.ask('GET', path)).status).toBe(200);
  });

  test('a ladder that does not rise is refused with both numbers', async () => {
    const [first, second, ...rest] = OWN_MOVEMENT.ladder;
    const { status, body } = await coach.ask('PUT', `/movements/${uuid()}`, {
      ...OWN_MOVEMENT,
      ladder: [second, first, ...rest],
    });
    expect(status).toBe(422);
    expect(body.errors).toEqual([
      {
        pointer: '/ladder/1/load',
        message: expect.stringMatching(
          /^hand load doesn’t increase: [\d.]+ % of body weight, but [\d.]+ % of body weight at the level below \(All fours\)$/,
        ),
      },
    ]);
  });

  test.each([
    [{ climbs: 'glory' }, '/climbs'],
    [{ ladder: [] }, '/ladder'],
    [{ sides: [] }, '/sides'],
    [{ howTo: [] }, '/howTo'],
    [
      { ladder: [{ ...OWN_MOVEMENT.ladder[0], load: { kind: 'press', action: 'grip', effortPercent: 900 } }] },
      '/ladder/0/load/effortPercent',
    ],
    [{ ladder: [{ ...OWN_MOVEMENT.ladder[0], loading: 'unloaded' }] }, '/ladder/0/loading'],
    [{ ladder: [OWN_MOVEMENT.ladder[0], OWN_MOVEMENT.ladder[0]] }, '/ladder/1/id'],
    [{ extra: true }, '/extra'],
  ])('%j is refused at %s', async (change, pointer) => {
    const { status, body } = await coach.ask('PUT', `/movements/${uuid()}`, { ...OWN_MOVEMENT, ...change });
    expect([status, pointers(body)]).toEqual([422, expect.arrayContaining([pointer])]);
  });
});

describe('readings', () => {
  test('are added, repeated without harm, and taken out when they were a slip', async () => {
    const athleteId = uuid();
    await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
    const id = uuid();
    const reading = { kind: 'maximum', of: 'grip', hand: 'left', value: 320, onDay: '2026-05-03' };
    const at = `/athletes/${athleteId}/readings/${id}`;
    expect((await coach.ask('PUT', at, reading)).status).toBe(200);
    expect((await coach.ask('PUT', at, reading)).status).toBe(200);
    expect((await coach.ask('PUT', at, { ...reading, value: 300 })).status).toBe(409);
    const list = await coach.ask<StoredReading[]>('GET', `/athletes/${athleteId}/readings`);
    expect(list.body).toEqual([{ id, ...reading }]);
    expect((await coach.ask('DELETE', at)).status).toBe(204);
    expect((await coach.ask('DELETE', at)).status).toBe(404);
  });

  test.each([
    [{ of: 'whistling' }, '/of'],
    [{ value: 9000 }, '/value'],
    [{ onDay: '2026-05-05' }, '/onDay'],
    [{ kind: 'active range' }, '/of'],
    [{ kind: 'guess' }, '/kind'],
  ])('%j is refused at %s', async (change, pointer) => {
    const athleteId = uuid();
    await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
    const reading = { kind: 'maximum', of: 'grip', hand: 'left', value: 320, onDay: '2026-05-03', ...change };
    const { status, body } = await coach.ask('PUT', `/athletes/${athleteId}/readings/${uuid()}`, reading);
    expect([status, pointers(body)]).toEqual([422, [pointer]]);
  });
});
