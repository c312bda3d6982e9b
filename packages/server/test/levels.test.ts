import { beforeAll, expect, test } from '@jest/globals';
import type { LevelItem } from '@clay-pot/contracts';
import { compileTimeline } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House, sequenceOf } from './house.js';

const NOW = '2026-05-20T10:00:00.000Z';
let coach: Browser;
beforeAll(async () => {
  const house = await House.open('levels', { now: () => new Date(NOW) });
  coach = await house.coach('levels');
});

const HOLD = sequenceOf('Hold', ['load', 'bearing.palm-support', 'knees-back']);
const block = {
  ...HOLD.blocks[0]!,
  dose: { ...HOLD.blocks[0]!.dose, sets: 2, work: { kind: 'time' as const, seconds: 30 } },
};
const PLAN = { ...HOLD, blocks: [block] };

async function athlete(change: object = {}): Promise<string> {
  const id = uuid();
  await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, ...change });
  return id;
}

/** Leads the hold on a day, all of it done and told of. */
async function lead(athleteId: string, day: string, discomfort: number): Promise<void> {
  const [sequenceId, id] = [uuid(), uuid()];
  const startedAt = `${day}T09:00:00.000Z`;
  const endedAt = `${day}T09:10:00.000Z`;
  await coach.ask('PUT', `/sequences/${sequenceId}`, PLAN);
  await coach.ask('PUT', `/sessions/${id}`, { athleteId, sequenceId, plan: PLAN, startedAt });
  for (const { blockId, set, side, direction, unit, plannedAmount } of compileTimeline(PLAN, shippedMovement).stints) {
    await coach.ask('PUT', `/sessions/${id}/sets/${uuid()}`, {
      ...{ blockId, movementId: block.movementId, levelId: block.levelId, set, side, direction, unit, plannedAmount },
      doneAmount: plannedAmount,
      endedAt,
      corrects: null,
    });
  }
  await coach.ask('PUT', `/sessions/${id}/reports/${uuid()}`, {
    blockId: block.id,
    discomfort,
    exertion: 5,
    note: '',
    at: endedAt,
  });
  await coach.ask('PUT', `/sessions/${id}/end`, { ending: 'completed', note: '', endedAt });
}
const levelsOf = async (id: string) => (await coach.ask<LevelItem[]>('GET', `/athletes/${id}/levels`)).body;

test('two clean sessions at the gate open the next level, for each hand, with the sessions that it rests on', async () => {
  const id = await athlete();
  expect(await levelsOf(id)).toEqual([]);
  await lead(id, '2026-05-13', 1);
  await lead(id, '2026-05-18', 1);
  const levels = await levelsOf(id);
  expect(levels.map(({ hand }) => hand).sort()).toEqual(['left', 'right']);
  expect(levels[0]).toMatchObject({
    movementId: 'bearing.palm-support',
    levelId: 'knees-back',
    streak: 2,
    gateWords: '2 sets of 30 s in 2 sessions',
  });
  expect(levels[0]!.step).toEqual({ kind: 'level up', levelId: 'pike' });
  expect(levels[0]!.history.map(({ endedAt }) => endedAt.split('T')[0])).toEqual(['2026-05-18', '2026-05-13']);
});

test('nothing grows for a hand that is not cleared, and trouble steps back', async () => {
  const barred = await athlete({ cautions: [{ caution: 'numbness', hand: 'left' }] });
  await lead(barred, '2026-05-13', 1);
  await lead(barred, '2026-05-18', 1);

  const levels = await levelsOf(barred);
  expect(levels.find(({ hand }) => hand === 'left')?.step).toEqual({ kind: 'hold' });
  expect(levels.find(({ hand }) => hand === 'right')?.step.kind).toBe('level up');
  const sore = await athlete();
  await lead(sore, '2026-05-13', 1);
  await lead(sore, '2026-05-18', 6);
  expect((await levelsOf(sore))[0]!.step).toMatchObject({ kind: 'level down' });
});

test('nobody’s levels are nowhere', async () => {
  expect((await coach.ask('GET', `/athletes/${uuid()}/levels`)).status).toBe(404);
});
