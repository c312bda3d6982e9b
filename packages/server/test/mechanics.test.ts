import { beforeAll, describe, expect, test } from '@jest/globals';
import type { EffortTimelineAnswer, HandAnswer, PostureAnswer, SolveAnswer } from '@clay-pot/contracts';
import type { OpenAPIObject } from '@nestjs/swagger';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, pointers, SEQUENCE, sequenceOf } from './house.js';

let coach: Browser;
beforeAll(async () => {
  const house = await House.open('mechanics', { now: () => new Date('2026-05-04T10:00:00Z') });
  coach = await house.coach('mechanics');
});

const MAN = { sex: 'male', statureM: 1.741, massKg: 73, ageYears: 25 };
const ask = <T = PostureAnswer>(path: string, body: unknown) => coach.ask<T>('POST', `/mechanics/${path}`, body);

describe('POST /mechanics/posture', () => {
  test('answers what the force plates measured for a plank, with the free-body check', async () => {
    const { status, body } = await ask('posture', { body: MAN, posture: { from: 'plank', hipAngleDeg: 180 } });
    expect(status).toBe(200);
    expect(Math.abs(body.bothPercentBW - 69.16)).toBeLessThan(4);
    expect(body.left.loadN).toBeCloseTo((body.left.loadPercentBW / 100) * 73 * 9.80665, 6);
    expect(body.freeBodyResidual).toBeLessThan(1e-9);
    expect(body.wristAngleDeg).toBeCloseTo(78.463, 3);
    expect(body.handsPercentBW).toBe(body.bothPercentBW);
    expect(body.left.efforts[0]).toMatchObject({ action: 'wrist flexion', unit: 'N·m', capacitySource: 'estimated' });
    expect(body.estimated).toEqual([]);
  });

  test('one changed field of the chain takes the place of what follows from it', async () => {
    const far = await ask('posture', { body: MAN, posture: { from: 'allFours', distanceM: 0.6 } });
    expect(far.body.distanceM).toBeCloseTo(0.6, 9);
    expect(far.body.leanDeg).toBeCloseTo(0, 6);
    const tied = await ask('posture', { body: MAN, posture: { from: 'allFours', distanceM: 0.6, hipAngleDeg: 110 } });
    expect([tied.body.distanceM, tied.body.hipAngleDeg].map((value) => Number(value.toFixed(6)))).toEqual([0.6, 110]);
  });

  test('a support alone means its usual posture; everything of a posture can be told', async () => {
    const support = await ask('posture', { body: MAN, posture: { support: 'toes', leanDeg: 10 } });
    const named = await ask('posture', { body: MAN, posture: { from: 'plank', leanDeg: 10 } });
    expect(support.body).toEqual(named.body);
    const answer = await ask('posture', {
      body: MAN,
      posture: {
        support: 'knees',
        contact: 'fist',
        facing: 'inward',
        leanDeg: 5,
        hipAngleDeg: 120,
        handHeightM: 0.1,
        supportHeightM: 0.05,
        elbowBendDeg: 20,
        leftShare: 0.6,
      },
    });
    expect(answer.status).toBe(200);
    expect(answer.body.left.loadN / answer.body.right.loadN).toBeCloseTo(1.5, 9);
    expect(answer.body.wristAngleDeg).toBe(0);
    expect(answer.body.freeBodyResidual).toBeLessThan(1e-9);
  });

  test('what is not told is taken from a reference person and named', async () => {
    const { body } = await ask('posture', { posture: { from: 'plank' } });
    expect(body.body).toEqual({ sex: 'not stated', statureM: 1.738, massKg: 67.5 });
    expect(body.estimated).toEqual(['proportions (mean of women and men)', 'height (1.74 m)', 'weight (67.5 kg)', 'age (30)']);
  });

  test('an athlete’s own maxima and ranges are used, and said to be measured', async () => {
    const id = uuid();
    await coach.ask('PUT', `/athletes/${id}`, ATHLETE);
    const reading = { kind: 'maximum', of: 'wrist flexion', hand: 'left', value: 15, onDay: '2026-05-01' };
    await coach.ask('PUT', `/athletes/${id}/readings/${uuid()}`, reading);
    const range = { kind: 'passive range', of: 'wrist extension', hand: 'left', value: 82, onDay: '2026-05-01' };
    await coach.ask('PUT', `/athletes/${id}/readings/${uuid()}`, range);
    const { body } = await ask('posture', { athleteId: id, posture: { from: 'plank' } });
    expect(body.body).toMatchObject({ statureM: 1.705, massKg: 65.2 });
    const flexion = ({ efforts }: HandAnswer) => efforts.find(({ action }) => action === 'wrist flexion')!;
    expect(flexion(body.left).capacitySource).toBe('measured');
    expect(flexion(body.right).capacitySource).toBe('estimated');
    const spread = (hand: HandAnswer) => Math.log(flexion(hand).effortInterval[1] / flexion(hand).effortInterval[0]);
    expect(spread(body.left)).toBeLessThan(0.5 * spread(body.right));
    expect([body.left.rangeMarginDeg, body.left.rangeSource]).toEqual([expect.closeTo(3.537, 3), 'measured']);
    expect((await ask('posture', { athleteId: uuid(), posture: { from: 'plank' } })).status).toBe(404);
  });

  test.each([
    [{ body: { ...MAN, statureM: 2.4 }, posture: { from: 'plank' } }, '/body/statureM', '1.2–2.3 m'],
    [{ body: { ...MAN, massKg: 20 }, posture: { from: 'plank' } }, '/body/massKg', '25–200 kg'],
    [{ posture: { from: 'moon walk' } }, '/posture/from', 'must be one of wallLean'],
    [{ posture: { from: 'plank', colour: 'red' } }, '/posture/colour', 'not a known field'],
    [{ posture: { from: 'plank', leanDeg: 'skewed' } }, '/posture/leanDeg', 'within -60–60'],
    [{}, '/posture', 'must be a posture'],
    [{ posture: {} }, '/posture/from', 'or give a support'],
  ])('%j is refused at its field', async (question, pointer, words) => {
    const { status, body } = await coach.ask('POST', '/mechanics/posture', question);
    expect(status).toBe(422);
    expect(pointers(body)).toContain(pointer);
    expect(JSON.stringify(body)).toContain(words);
  });

  test('an impossible posture names the length that is too short and the nearest that is possible', async () => {
    const { status, body } = await coach.ask('POST', '/mechanics/posture', {
      body: MAN,
      posture: { from: 'plank', distanceM: 2.5 },
    });
    expect(status).toBe(422);
    expect(body.errors![0]).toMatchObject({
      pointer: '/posture/distanceM',
      message: expect.stringContaining('trunk and legs are too short'),
    });
    const { nearest } = body.errors![0]!;
    const again = await ask('posture', {
      body: MAN,
      posture: { from: 'plank', distanceM: Number(nearest!.toFixed(3)) - 0.001 },
    });
    expect(again.status).toBe(200);
  });
});

describe('POST /mechanics/solve', () => {
  test('finds what gives the wanted load, and says what cannot', async () => {
    const question = {
      body: MAN,
      posture: { from: 'allFours' },
      vary: 'distanceM',
      target: { quantity: 'loadPercentBW', value: 25, hand: 'left' },
    };
    const { status, body } = await ask<SolveAnswer>('solve', question);
    expect(status).toBe(200);
    expect(body.answer.left.loadPercentBW).toBeCloseTo(25, 6);
    expect([body.field, body.unit]).toEqual(['distanceM', 'm']);
    const none = await coach.ask('POST', '/mechanics/solve', {
      ...question,
      target: { ...question.target, value: 90 },
    });
    expect(none.status).toBe(422);
    expect(none.body.errors![0]).toMatchObject({
      pointer: '/target/value',
      nearest: expect.any(Number),
      at: expect.any(Number),
    });
    expect(none.body.detail).toContain('The nearest load on a hand is');
  });

  test('both stand in the OpenAPI document with examples that hold', async () => {
    const { body } = await coach.ask<OpenAPIObject>('GET', '/openapi.json');
    for (const path of ['posture', 'solve'] as const) {
      const { post } = body.paths[`/api/mechanics/${path}`]!;
      const content = (post!.requestBody as { content: Record<string, { examples: Record<string, { value: unknown }> }> }).content;
      const examples = Object.values(content['application/json']!.examples);
      expect(examples).toHaveLength(2);
      for (const { value } of examples) expect((await ask(path, value)).status).toBe(200);
      const answers = (post!.responses['200'] as { content: Record<string, { schema: { example: object } }> }).content;
      const { example } = answers['application/json']!.schema;
      expect((await ask<object>(path, examples[0]!.value)).body).toEqual(JSON.parse(JSON.stringify(example)));
    }
    const { PostureQuestion, MovementInput } = body.components!.schemas! as Record<string, object>;
    expect(PostureQuestion).toMatchObject({ properties: { posture: { properties: { leanDeg: expect.any(Object) } } } });
    const load = { oneOf: expect.any(Array), discriminator: { propertyName: 'kind' } };
    expect(MovementInput).toMatchObject({ properties: { ladder: { items: { properties: { load } } } } });
  });
});

describe('POST /effort/timeline', () => {
  const ask = (sequence: unknown) => coach.ask<EffortTimelineAnswer>('POST', '/effort/timeline', { body: MAN, sequence });
  test('answers the timeline and the course of every group that works', async () => {
    const { status, body } = await ask(
      sequenceOf('Presses', ['load', 'isometric.flexion', 'strong'], ['settle', 'settle.resting-breaths', 'seated']),
    );
    expect(status).toBe(200);
    const left = body.groups.find(({ hand, group }) => hand === 'left' && group === 'wrist flexors')!;
    expect(left.lowestCapacityLeft).toBeLessThan(0.95);
    expect(left.enduranceDose).toBeGreaterThan(0.1);
    expect(left.course[0]).toEqual({ atMs: 0, capacityLeft: 1 });
    const last = body.events.at(-1)!;
    expect(last.startMs + last.durationMs).toBe(body.durationMs);
    expect(body.estimated).toEqual([]);
  });

  test('says where it fails, and refuses a sequence that is none', async () => {
    const { body } = await ask(sequenceOf('Too much', ['strength', 'edge.hang', 'small']));
    expect(body.groups.find(({ group }) => group === 'finger flexors')!.failures).toMatchObject([{ blockId: 'b0', heldS: 0, restS: null }]);
    const wrong = await coach.ask('POST', '/effort/timeline', {
      sequence: { ...SEQUENCE, blocks: [{ ...SEQUENCE.blocks[0], levelId: 'no such' }] },
    });
    expect([wrong.status, pointers(wrong.body)]).toEqual([422, ['/sequence/blocks/0/levelId']]);
    expect((await ask({ ...SEQUENCE, blocks: [] })).body.groups).toEqual([]);
  });

  test('its example in the OpenAPI document holds', async () => {
    const { body } = await coach.ask<OpenAPIObject>('GET', '/openapi.json');
    const { post } = body.paths['/api/effort/timeline']!;
    const content = (post!.requestBody as { content: Record<string, { examples: Record<string, { value: unknown }> }> }).content;
    const { value } = content['application/json']!.examples['blocks']!;
    const answer = await coach.ask<EffortTimelineAnswer>('POST', '/effort/timeline', value);
    const answers = (post!.responses['200'] as { content: Record<string, { schema: { example: object } }> }).content;
    expect([answer.status, answer.body]).toEqual([200, JSON.parse(JSON.stringify(answers['application/json']!.schema.example))]);
  });
});
