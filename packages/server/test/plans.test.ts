import { beforeAll, describe, expect, test } from '@jest/globals';
import type { SessionRecord } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, SEQUENCE } from './house.js';

let house: House;
let coach: Browser;
let athleteId: string;
let sequenceId: string;
beforeAll(async () => {
  house = await House.open('plans', { now: () => new Date('2026-06-10T10:00:00Z') });
  coach = await house.coach('plans');
  [athleteId, sequenceId] = [uuid(), uuid()];
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
  await coach.ask('PUT', `/sequences/${sequenceId}`, SEQUENCE);
});

async function begin(plan: object): Promise<string> {
  const id = uuid();
  const answer = await coach.ask('PUT', `/sessions/${id}`, { athleteId, sequenceId, plan, startedAt: '2026-06-10T08:00:00.000Z' });
  expect(answer.status).toBe(200);
  return id;
}
const rows = (sql: string, values: unknown[] = []): Promise<Record<string, unknown>[]> => house.source.query(sql, values);
const planIdOf = async (sessionId: string) => (await rows('SELECT plan_id FROM sessions WHERE id = ?', [sessionId]))[0]!['plan_id'];

describe('what was led', () => {
  test('is kept once for each content, and each session reads its own', async () => {
    const longer = { ...SEQUENCE, budgetMin: SEQUENCE.budgetMin + 5 };
    const [one, again, other] = [await begin(SEQUENCE), await begin(SEQUENCE), await begin(longer)];
    expect(await planIdOf(again)).toBe(await planIdOf(one));
    expect(await planIdOf(other)).not.toBe(await planIdOf(one));
    expect((await coach.ask<SessionRecord>('GET', `/sessions/${other}`)).body.plan.budgetMin).toBe(longer.budgetMin);
    expect((await coach.ask<SessionRecord>('GET', `/sessions/${again}`)).body.plan).toEqual(SEQUENCE);
  });

  test('begun by many devices at once is one plan with its movements', async () => {
    const plan = { ...SEQUENCE, purpose: 'Led by six at once.' };
    const ids = await Promise.all(Array.from({ length: 6 }, () => begin(plan)));
    const planIds = new Set(await Promise.all(ids.map(planIdOf)));
    expect(planIds.size).toBe(1);
    const named = await rows('SELECT movement_id FROM plan_movements WHERE plan_id = ?', [...planIds]);
    expect(named.map((row) => row['movement_id']).sort()).toEqual([...new Set(SEQUENCE.blocks.map(({ movementId }) => movementId))].sort());
  });

  test('the movements of a sequence follow its edits', async () => {
    const id = uuid();
    const named = async () =>
      (await rows('SELECT movement_id FROM sequence_movements WHERE sequence_id = ?', [id])).map((row) => row['movement_id']).sort();
    const { headers } = await coach.ask('PUT', `/sequences/${id}`, SEQUENCE);
    const [first] = SEQUENCE.blocks;
    expect(await named()).toEqual([...new Set(SEQUENCE.blocks.map(({ movementId }) => movementId))].sort());
    const etag = String(headers['etag']);
    expect((await coach.ask('PUT', `/sequences/${id}`, { ...SEQUENCE, blocks: [first] }, { 'if-match': etag })).status).toBe(200);
    expect(await named()).toEqual([first!.movementId]);
  });
});
