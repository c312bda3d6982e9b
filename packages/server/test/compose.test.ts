import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import type { ComposeAnswer, EffortSessionAnswer, SwapAnswer } from '@clay-pot/contracts';
import { applyEdits, checkSequence, type Edit } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { COMPOSE_ANSWERED, COMPOSE_EXAMPLE } from '../src/compose/examples.js';
import { ATHLETE, type Browser, House, pointers, sequenceOf } from './house.js';

// A thread that composes for the first time loads its solver first.
jest.setTimeout(40_000);

let coach: Browser;
beforeAll(async () => {
  const house = await House.open('compose', { now: () => new Date('2026-05-04T10:00:00Z') });
  coach = await house.coach('compose');
});

const compose = (question: object) => coach.ask<ComposeAnswer>('POST', '/compose', question);

describe('POST /compose', () => {
  test('answers a sequence with its reasons, what binds, and how near it is to the best', async () => {
    const { status, body } = await compose(COMPOSE_EXAMPLE);
    expect(status).toBe(200);
    const { sequence, reasons, gapPercent, elapsedMs, durationMs, findings } = body;
    expect(checkSequence(sequence!, shippedMovement)).toEqual([]);
    expect(reasons.map(({ blockId }) => blockId)).toEqual(sequence!.blocks.map(({ id }) => id));
    expect(gapPercent).toBeLessThanOrEqual(1);
    expect(durationMs).toBeLessThanOrEqual(20 * 60_000);
    expect(elapsedMs).toBeGreaterThan(0);
    expect(findings).toEqual([]);
    expect(body).toMatchObject(COMPOSE_ANSWERED);
  });

  test('an athlete’s record is heard: cautions, things at hand, what was chosen to stay', async () => {
    const id = uuid();
    await coach.ask('PUT', `/athletes/${id}`, {
      ...ATHLETE,
      equipment: ['mat', 'towel'],
      cautions: [{ caution: 'arthritis' }],
    });
    const { body } = await compose({ athleteId: id, goal: 'racket-arm', minutes: 12, methodId: 'daily-range' });
    expect(body.findings).toEqual([]);
    expect(body.excluded.map(({ why }) => why)).toContainEqual(expect.stringMatching(/: no .* here\.$/));
    const judged = await coach.ask<EffortSessionAnswer>('POST', '/effort/session', {
      athleteId: id,
      sequence: body.sequence,
    });
    expect(judged.body.findings).toEqual([]);
    const [first] = body.sequence!.blocks;
    const again = await compose({ athleteId: id, goal: 'desk-hands', minutes: 12, locked: [first] });
    expect(again.body.sequence!.blocks).toContainEqual(first);
  });

  test('a sequence is fitted anew: to fewer minutes with its own movements, without the floor with others', async () => {
    const { body } = await compose({ goal: 'mixed-class', minutes: 15, equipment: ['mat', 'wall'] });
    const from = body.sequence!;
    const ids = from.blocks.map(({ movementId }) => movementId);
    const shorter = await compose({ goal: 'mixed-class', minutes: 9, equipment: ['mat', 'wall'], from, others: false });
    expect(shorter.body.durationMs).toBeLessThanOrEqual(9 * 60_000);
    expect(shorter.body.sequence!.blocks.every(({ movementId }) => ids.includes(movementId))).toBe(true);
    const standing = await compose({ goal: 'mixed-class', minutes: 15, equipment: ['wall'], from, notAt: ['floor'] });
    const kept = standing.body.sequence!.blocks.filter(({ movementId }) => ids.includes(movementId));
    expect(kept.length).toBeGreaterThan(3);
    expect(standing.body.findings).toEqual([]);
  });

  test('what cannot be had together is no error: it says what would have to give way', async () => {
    const holds = sequenceOf('Holds', ['load', 'bearing.palm-support', 'all-fours'], ['load', 'bearing.fist-support', 'all-fours']).blocks;
    const { status, body } = await compose({ goal: 'handstand-load', minutes: 1, locked: holds });
    expect(status).toBe(200);
    expect(body.sequence).toBeNull();
    expect(body.giveUp.length).toBeGreaterThan(0);
  });

  test('bad input names its field', async () => {
    const of = async (change: object) =>
      pointers((await coach.ask('POST', '/compose', { goal: 'desk-hands', minutes: 10, ...change })).body);
    expect(await of({ minutes: 0 })).toEqual(['/minutes']);
    expect(await of({ minutes: undefined })).toEqual(['/minutes']);
    expect(await of({ goal: 'world-peace' })).toEqual(['/goal']);
    expect(await of({ equipment: ['anvil'] })).toEqual(['/equipment/0']);
    expect(await of({ methodId: 'nobodys' })).toEqual(['/methodId']);
    const [block] = sequenceOf('One', ['load', 'isometric.flexion', 'strong']).blocks;
    expect(await of({ locked: [{ ...block, movementId: 'nothing' }] })).toEqual(['/locked/0/movementId']);
    expect((await coach.ask('POST', '/compose', { goal: 'desk-hands', minutes: 10, athleteId: uuid() })).status).toBe(404);
  });
});

test('POST /compose/swap answers other movements for a block, each as edits', async () => {
  const { body } = await compose({ goal: 'everyday-range', minutes: 12 });
  const from = body.sequence!;
  const question = { goal: 'everyday-range', minutes: 12, from };
  const swapped = await coach.ask<SwapAnswer>('POST', '/compose/swap', { ...question, blockId: from.blocks[0]!.id });
  expect(swapped.body.alternatives.length).toBeGreaterThan(0);
  for (const { edits, movementId } of swapped.body.alternatives) {
    const after = applyEdits(from, edits as Edit[]);
    expect(checkSequence(after, shippedMovement)).toEqual([]);
    expect(after.blocks[0]!.movementId).toBe(movementId);
  }
  const wrong = await coach.ask('POST', '/compose/swap', { ...question, blockId: 'none' });
  expect(pointers(wrong.body)).toEqual(['/blockId']);
});
