import { beforeAll, describe, expect, test } from '@jest/globals';
import type { EffortSessionAnswer, OffersAnswer } from '@clay-pot/contracts';
import { applyEdits, compileTimeline, type Evidence, type PastSession } from '@clay-pot/core';
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
    const offers = await coach.ask<OffersAnswer>('POST', '/effort/offers', { sequence: PRESS, check, blockIds });
    const [offer] = offers.body.offers;
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

  describe('of somebody’s strength', () => {
    const body = { sex: 'female', statureM: 1.65, massKg: 62, ageYears: 30 };
    const LIFT = sequenceOf('Lift', ['strength', 'strength.palm-lift', 'plank']);
    const flexors = ({ body: { account } }: { body: EffortSessionAnswer }, hand = 'left') =>
      account.blocks[0]!.groups.find((group) => group.hand === hand && group.group === 'wrist flexors')!;

    test('every block tells its groups: effort with its interval, dose, and the chance that it is carried to its end', async () => {
      const answer = await session({ body, sequence: LIFT });
      const left = flexors(answer);
      expect(left.effortPercent).toBeGreaterThan(100);
      expect(left.effortInterval[0]).toBeLessThan(left.effortPercent);
      expect(left.effortInterval[1]).toBeGreaterThan(left.effortPercent);
      expect(left.enduranceDose).toBe(0);
      expect(left.chanceOfCompletion).toBeGreaterThan(0);
      expect(left.chanceOfCompletion).toBeLessThan(0.5);
      const [block] = answer.body.account.blocks;
      expect(block!.chanceOfCompletion).toBe(Math.min(...block!.groups.map((group) => group.chanceOfCompletion)));
      expect(answer.body.whatToMeasure).toMatchObject({ action: 'wrist flexion', decides: 1 });
    });

    test('maxima of 1.4 times the norm take a good two thirds of the effort, and measured ones narrow it', async () => {
      const untrained = flexors(await session({ body, sequence: LIFT }));
      const practised = flexors(await session({ body, sequence: LIFT, strengthOfNorm: 1.4 }));
      expect(untrained.effortPercent / practised.effortPercent).toBeCloseTo(1.4, 6);
      expect(practised.chanceOfCompletion).toBeGreaterThan(0.7);
      const measured = [{ kind: 'maximum', of: 'wrist flexion', hand: 'left', value: 14 }];
      const withMaximum = await session({ body, sequence: LIFT, measured });
      const width = ({ effortInterval: [low, high] }: ReturnType<typeof flexors>) => Math.log(high / low);
      expect(width(flexors(withMaximum))).toBeLessThan(0.4 * width(untrained));
      // One hand's test tells of the other as well, less surely.
      expect(width(flexors(withMaximum, 'right'))).toBeLessThan(width(untrained));
      expect(flexors(withMaximum).chanceOfCompletion).toBeGreaterThan(0.9);
    });

    test('contradicting tests are both taken; nobody in particular and a youth of fourteen are answered for', async () => {
      const measured = [200, 400].map((value) => ({ kind: 'maximum', of: 'grip', hand: 'left', value }));
      expect((await session({ body, sequence: LIFT, measured })).status).toBe(200);
      const anybody = await session({ sequence: LIFT });
      expect(anybody.body.estimated).toHaveLength(4);
      const youth = await session({ body: { ...body, ageYears: 14 }, sequence: LIFT });
      const width = (answer: typeof anybody) => Math.log(flexors(answer).effortInterval[1] / flexors(answer).effortInterval[0]);
      expect(youth.status).toBe(200);
      expect(width(anybody)).toBeGreaterThan(width(youth));
    });

    test.each([
      [{ strengthOfNorm: 0 }, '/strengthOfNorm'],
      [{ strengthOfNorm: 40 }, '/strengthOfNorm'],
      [{ measured: [{ kind: 'maximum', of: 'courage', hand: 'left', value: 5 }] }, '/measured/0/of'],
      [{ measured: [{ kind: 'maximum', of: 'grip', hand: 'left', value: 9000 }] }, '/measured/0/value'],
      [{ measured: [{ kind: 'maximum', of: 'grip', hand: 'left', value: 300, onDay: '2027-01-01' }] }, '/measured/0/onDay'],
      [{ measured: [{ kind: 'passive range', of: 'wrist extension', hand: 'left', value: 300 }] }, '/measured/0/value'],
    ])('what cannot be is refused with its place: %j', async (change, pointer) => {
      const question = { body, sequence: LIFT, ...change };
      const { status, body: problem } = await coach.ask('POST', '/effort/session', question);
      expect([status, pointers(problem)]).toEqual([422, [pointer]]);
    });

    test('what an athlete’s sets tell moves the belief, and is listed with its kind and day', async () => {
      const id = await athleteWith();
      const sequenceId = uuid();
      const hang = sequenceOf('Hang', ['strength', 'hang.full', 'bar']);
      await coach.ask('PUT', `/sequences/${sequenceId}`, hang);
      const before = await session({ athleteId: id, sequence: hang });
      const sessionId = uuid();
      const startedAt = '2026-05-02T08:00:00.000Z';
      const endedAt = '2026-05-02T08:10:00.000Z';
      await coach.ask('PUT', `/sessions/${sessionId}`, { athleteId: id, sequenceId, plan: hang, startedAt });
      for (const { blockId, set, side, direction, unit, plannedAmount } of compileTimeline(hang, shippedMovement).stints) {
        const done = { blockId, movementId: 'hang.full', levelId: 'bar', set, side, direction, unit, plannedAmount };
        const sent = { ...done, doneAmount: plannedAmount, endedAt, corrects: null };
        await coach.ask('PUT', `/sessions/${sessionId}/sets/${uuid()}`, sent);
      }
      const report = { blockId: 'b0', discomfort: 0, exertion: 9, note: '', at: endedAt };
      expect((await coach.ask('PUT', `/sessions/${sessionId}/reports/${uuid()}`, report)).status).toBeLessThan(300);
      await coach.ask('PUT', `/sessions/${sessionId}/end`, { ending: 'completed', note: '', endedAt });
      const { body: evidence } = await coach.ask<Evidence[]>('GET', `/athletes/${id}/evidence`);
      expect(evidence.map(({ kind, action, hand, onDay }) => [kind, action, hand, onDay])).toEqual([
        ['rated', 'grip', 'left', '2026-05-02'],
        ['rated', 'grip', 'right', '2026-05-02'],
      ]);
      const after = await session({ athleteId: id, sequence: hang });
      const grip = ({ body: { account } }: typeof before) => account.blocks[0]!.groups.find(({ group }) => group === 'finger flexors')!;
      expect(grip(after).effortPercent).not.toBeCloseTo(grip(before).effortPercent, 0);
      expect((await coach.ask('GET', `/athletes/${uuid()}/evidence`)).status).toBe(404);
    });
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
    const content = (post!.requestBody as { content: Record<string, { examples: Record<string, { value: object }> }> }).content;
    const answer = await session(content['application/json']!.examples['blocks']!.value);
    const answers = (post!.responses['200'] as { content: Record<string, { schema: { example: object } }> }).content;
    expect([answer.status, answer.body]).toEqual([200, JSON.parse(JSON.stringify(answers['application/json']!.schema.example))]);
  });
});
