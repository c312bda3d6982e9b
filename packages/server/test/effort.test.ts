import { beforeAll, describe, expect, test } from '@jest/globals';
import type { EffortSessionAnswer, OffersAnswer } from '@clay-pot/contracts';
import { applyEdits, compileTimeline, type PastSession } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import type { OpenAPIObject } from '@nestjs/swagger';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, OWN_MOVEMENT, pointers, sequenceOf } from './house.js';

let coach: Browser;
beforeAll(async () => {
  const house = await House.open('effort', { now: () => new Date('2026-05-04T10:00:00Z') });
  coach = await house.coach('effort');
});

const session = (question: object) => coach.ask<EffortSessionAnswer>('POST', '/effort/session', question);
const PRESS = sequenceOf('Press', ['load', 'isometric.flexion', 'strong']);

async function athleteWith(change: object = {}): Promise<string> {
  const id = uuid();
  await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, ...change });
  return id;
}

/** Leads the press for an athlete, all of it done. */
async function carryOut(athleteId: string, startedAt: string): Promise<void> {
  const sequenceId = uuid();
  await coach.ask('PUT', `/sequences/${sequenceId}`, PRESS);
  const id = uuid();
  await coach.ask('PUT', `/sessions/${id}`, { athleteId, sequenceId, plan: PRESS, startedAt });
  const endedAt = new Date(Date.parse(startedAt) + 600_000).toISOString();
  for (const { blockId, set, side, direction, unit, plannedAmount } of compileTimeline(PRESS, shippedMovement).stints) {
    const done = { blockId, movementId: 'isometric.flexion', levelId: 'strong', set, side, direction, unit };
    await coach.ask('PUT', `/sessions/${id}/sets/${uuid()}`, {
      ...done,
      plannedAmount,
      doneAmount: plannedAmount,
      endedAt,
      corrects: null,
    });
  }
  await coach.ask('PUT', `/sessions/${id}/end`, { ending: 'completed', note: '', endedAt });
}

describe('POST /effort/session', () => {
  test('answers accounts, balance, coverage, the pot’s shape and findings, of which each can be answered without harm', async () => {
    const { status, body } = await session({ sequence: PRESS });
    expect(status).toBe(200);
    expect(body.method.id).toBe('floor-loading');
    expect(body.account.blocks).toHaveLength(1);
    expect(body.account.hands.left.repetitions).toBeGreaterThan(0);
    expect(body.balance.pairs).toHaveLength(4);
    expect(body.coverage.cells.map(({ direction }) => direction)).toEqual(['flexion']);
    expect(body.shape.length).toBeGreaterThan(0);
    const settle = body.findings.find(({ check }) => check === 'settle-missing')!;
    expect(settle).toMatchObject({ severity: 'mend', muted: null });
    const { check, blockIds } = settle;
    const asked = await coach.ask<OffersAnswer>('POST', '/effort/offers', { sequence: PRESS, check, blockIds });
    const [offer] = asked.body.offers;
    expect(offer!.label).toMatch(/^Add /);
    const mended = applyEdits(PRESS, offer!.edits);
    const after = await session({ sequence: mended });
    expect(after.body.findings.map((finding) => finding.check)).not.toContain('settle-missing');
    const stale = await coach.ask('POST', '/effort/offers', { sequence: mended, check, blockIds });
    expect([stale.status, pointers(stale.body as never)]).toEqual([422, ['/check']]);
  });

  test('knows the studio’s own movements, in the sequence and on the shelf that edits choose from', async () => {
    const id = uuid();
    await coach.ask('PUT', `/movements/${id}`, OWN_MOVEMENT);
    const { dose } = sequenceOf('', ['strength', 'bearing.palm-support', 'plank']).blocks[0]!;
    const block = { id: 'own', phase: 'strength', movementId: id, levelId: 'plank', dose };
    const { status, body } = await session({ sequence: { ...PRESS, blocks: [...PRESS.blocks, block] } });
    expect(status).toBe(200);
    expect(body.account.blocks).toHaveLength(2);
    const other = { ...block, movementId: uuid() };
    const refused = await session({ sequence: { ...PRESS, blocks: [other] } });
    expect([refused.status, pointers(refused.body as never)]).toEqual([422, ['/sequence/blocks/0/movementId']]);
  });

  test('knows an athlete’s cautions, things and method', async () => {
    const athleteId = await athleteWith({ cautions: [{ caution: 'numbness' }], equipment: [] });
    const { body } = await session({ athleteId, sequence: { ...PRESS, methodId: 'careful-return' } });
    expect(body.method.name).toBe('Careful return');
    expect(body.findings[0]).toMatchObject({ check: 'not-cleared', severity: 'stop' });
    const mute = [{ check: 'not-cleared', reason: 'No.' }];
    const refused = await session({ athleteId, sequence: { ...PRESS, mutes: mute } });
    expect([refused.status, pointers(refused.body as never)]).toEqual([422, ['/sequence/mutes/0/check']]);
  });

  test('counts what the athlete did before: hard work yesterday, and fatigue of the same morning', async () => {
    const athleteId = await athleteWith();
    await carryOut(athleteId, '2026-05-04T09:48:00.000Z');
    const grip = { athleteId, sequence: { ...PRESS, methodId: 'grip-and-iron' } };
    const right = await session({ ...grip, at: '2026-05-04T09:58:05.000Z' });
    expect(right.body.findings.map(({ check }) => check)).toContain('hard-spacing');
    const tired = right.body.groups.find(({ hand, group }) => hand === 'left' && group === 'wrist flexors')!;
    expect(tired.course[0]!.capacityLeft).toBeLessThan(0.99);
    const later = await session({ ...grip, at: '2026-05-09T09:58:00.000Z' });
    expect(later.body.findings.map(({ check }) => check)).not.toContain('hard-spacing');
    expect(later.body.groups[0]!.course[0]!.capacityLeft).toBe(1);
    const { body: past } = await coach.ask<PastSession[]>('GET', `/athletes/${athleteId}/past`);
    expect(past).toHaveLength(1);
    expect(past[0]!.hard).toContain('left wrist flexors');
    expect((await coach.ask<PastSession[]>('GET', `/athletes/${athleteId}/past?days=0`)).status).toBe(422);
  });

  test('a second athlete’s sessions are not counted', async () => {
    const [one, two] = [await athleteWith(), await athleteWith()];
    await carryOut(one, '2026-05-03T09:00:00.000Z');
    expect((await coach.ask<PastSession[]>('GET', `/athletes/${two}/past`)).body).toEqual([]);
    expect((await coach.ask<PastSession[]>('GET', `/athletes/${one}/past`)).body).toHaveLength(1);
  });

  test('an empty sequence and an odd instant are told apart', async () => {
    const { status, body } = await session({ sequence: { ...PRESS, blocks: [] } });
    expect([status, body.findings.map(({ check }) => check)]).toEqual([200, ['empty']]);
    const wrong = await session({ sequence: PRESS, at: 'tomorrow' });
    expect([wrong.status, pointers(wrong.body as never)]).toEqual([422, ['/at']]);
  });

  test('its example in the OpenAPI document holds', async () => {
    const { body } = await coach.ask<OpenAPIObject>('GET', '/openapi.json');
    const { post } = body.paths['/api/effort/session']!;
    const content = (post!.requestBody as { content: Record<string, { examples: Record<string, { value: object }> }> })
      .content;
    const answer = await session(content['application/json']!.examples['blocks']!.value);
    const answers = (post!.responses['200'] as { content: Record<string, { schema: { example: object } }> }).content;
    expect([answer.status, answer.body]).toEqual([
      200,
      JSON.parse(JSON.stringify(answers['application/json']!.schema.example)),
    ]);
  });
});
