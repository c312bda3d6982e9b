import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { AthleteSuggestion, SuggestionsOfAthlete, StudioSuggestions } from '@clay-pot/contracts';
import { compileTimeline, type Evidence } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { AthleteRow } from '../src/athletes/athlete.entity.js';
import { KeptAnswerRow } from '../src/kept/kept-answer.entity.js';
import { allSuggestions, ATHLETE, type Browser, House, OWN_METHOD, OWN_MOVEMENT, SEQUENCE, sequenceOf } from './house.js';

/** What is computed about athletes is kept while nothing of it changes, and computed again when anything does. */

const NOW = new Date('2026-05-20T12:00:00.000Z');
const PLAN = sequenceOf('Support', ['load', 'bearing.palm-support', 'all-fours']);
let house: House;
let coach: Browser;
let studio = 0;
let [ilsa, otto] = ['', ''];

beforeAll(async () => {
  house = await House.open('kept_answers', { now: () => NOW });
});
beforeEach(async () => {
  coach = await house.coach(`kept${studio++}`);
  [ilsa, otto] = [uuid(), uuid()];
  for (const id of [ilsa, otto]) await coach.ask('PUT', `/athletes/${id}`, ATHLETE);
});

const revisionOf = async (id: string) => (await house.source.getRepository(AthleteRow).findOneByOrFail({ id })).evidenceRevision;
const stored = async (path: string, body: unknown) => {
  const id = uuid();
  const { status } = await coach.ask('PUT', `/${path}/${id}`, body);
  expect(status).toBeLessThan(300);
  return id;
};
const etag = '"1"';

/** Leads the plan; ended unless it is left open. @returns the id of the session */
async function led(athleteId: string, { day = '2026-05-18', open = false, discomfort = 1 } = {}): Promise<string> {
  const sequenceId = await stored('sequences', PLAN);
  const id = await stored('sessions', { athleteId, sequenceId, plan: PLAN, startedAt: `${day}T09:00:00.000Z` });
  const endedAt = `${day}T09:10:00.000Z`;
  for (const { blockId, set, side, direction, unit, plannedAmount } of compileTimeline(PLAN, shippedMovement).stints) {
    const what = { blockId, movementId: 'bearing.palm-support', levelId: 'all-fours', set, side, direction, unit, plannedAmount };
    await stored(`sessions/${id}/sets`, { ...what, doneAmount: plannedAmount, endedAt, corrects: null });
  }
  await stored(`sessions/${id}/reports`, { blockId: 'b0', discomfort, exertion: 4, note: '', at: endedAt });
  if (!open) await coach.ask('PUT', `/sessions/${id}/end`, { ending: 'completed', note: '', endedAt });
  return id;
}
const READING = { kind: 'maximum', of: 'grip', hand: 'left', value: 300, onDay: '2026-05-01' };
const programmeOf = (sequenceId: string) => ({
  title: 'Weeks',
  fromDay: '2026-05-18',
  weeks: [{ kind: 'build', amountPercent: 100 }],
  plans: [{ id: 'a', sequenceId }],
  sessions: [],
});
const INTAKE = { goals: [], discipline: '', handHours: null, trainingYears: null, minutes: null, daysPerWeek: null, person: {} };

describe('what is computed about somebody changes with', () => {
  test.each<[string, (id: string) => Promise<() => Promise<unknown>>]>([
    ['their record', async (id) => () => coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, massKg: 70 }, { 'if-match': etag })],
    ['a reading', async (id) => () => stored(`athletes/${id}/readings`, READING)],
    [
      'readings of a file',
      async (id) => () => coach.ask('POST', `/athletes/${id}/readings`, { readings: [{ id: uuid(), reading: READING }] }),
    ],
    [
      'a reading that is taken out',
      async (id) => {
        const reading = await stored(`athletes/${id}/readings`, READING);
        return () => coach.ask('DELETE', `/athletes/${id}/readings/${reading}`);
      },
    ],
    ['answers before training', async (id) => () => stored(`athletes/${id}/intakes`, { ...INTAKE, onDay: '2026-05-20' })],
    ['a session that ends', async (id) => () => led(id)],
    [
      'what is told of a session afterwards',
      async (id) => {
        const session = await led(id);
        const at = '2026-05-18T10:00:00.000Z';
        return () => stored(`sessions/${session}/reports`, { blockId: 'b0', discomfort: 4, exertion: 6, note: '', at });
      },
    ],
    [
      'the morning after',
      async (id) => {
        const session = await led(id);
        return () => coach.ask('PUT', `/sessions/${session}/morning`, { left: 0, right: 0, at: '2026-05-19T07:00:00.000Z' });
      },
    ],
    [
      'a sequence that is assigned, and taken back',
      async (id) => {
        const sequenceId = await stored('sequences', SEQUENCE);
        return () => stored('assignments', { athleteId: id, sequenceId, weekdays: [1], fromDay: '2026-05-01' });
      },
    ],
    [
      'a programme',
      async (id) => {
        const sequenceId = await stored('sequences', SEQUENCE);
        return () => stored('programmes', { athleteId: id, document: programmeOf(sequenceId) });
      },
    ],
    [
      'a sequence that their programme has',
      async (id) => {
        const sequenceId = await stored('sequences', SEQUENCE);
        await stored('programmes', { athleteId: id, document: programmeOf(sequenceId) });
        return () => coach.ask('PUT', `/sequences/${sequenceId}`, { ...SEQUENCE, title: 'Changed' }, { 'if-match': etag });
      },
    ],
    [
      'a sequence of theirs that is removed',
      async (id) => {
        const sequenceId = await stored('sequences', SEQUENCE);
        await stored('assignments', { athleteId: id, sequenceId, weekdays: [1], fromDay: '2026-05-01' });
        return () => coach.ask('DELETE', `/sequences/${sequenceId}`);
      },
    ],
  ])('%s', async (_what, prepare) => {
    const change = await prepare(ilsa);
    const [before, others] = [await revisionOf(ilsa), await revisionOf(otto)];
    await change();
    expect(await revisionOf(ilsa)).toBeGreaterThan(before);
    expect(await revisionOf(otto)).toBe(others);
  });

  test.each<[string, () => Promise<unknown>]>([
    ['a movement of the studio’s own', () => stored('movements', OWN_MOVEMENT)],
    ['a method of the studio’s own', () => stored('methods', OWN_METHOD)],
  ])('%s, for everybody', async (_what, change) => {
    const before = await Promise.all([ilsa, otto].map(revisionOf));
    await change();
    expect(await Promise.all([ilsa, otto].map(revisionOf))).toEqual(before.map((revision) => revision + 1));
  });

  test.each<[string, (id: string) => Promise<() => Promise<unknown>>]>([
    ['a sequence that nobody does', async () => () => stored('sequences', SEQUENCE)],
    [
      'a change of it',
      async () => {
        const sequenceId = await stored('sequences', SEQUENCE);
        return () => coach.ask('PUT', `/sequences/${sequenceId}`, { ...SEQUENCE, title: 'Changed' }, { 'if-match': etag });
      },
    ],
    ['a session that has not ended', async (id) => () => led(id, { open: true })],
    [
      'a reading that was there already',
      async (id) => {
        const reading = await stored(`athletes/${id}/readings`, READING);
        return () => coach.ask('PUT', `/athletes/${id}/readings/${reading}`, READING);
      },
    ],
  ])('not with %s', async (_what, prepare) => {
    const change = await prepare(ilsa);
    const before = await revisionOf(ilsa);
    await change();
    expect(await revisionOf(ilsa)).toBe(before);
  });
});

describe('once it is known', () => {
  test('all suggestions are answered in one request, also after a sequence was saved that nobody does', async () => {
    await led(ilsa, { discomfort: 6 });
    const found = await allSuggestions(coach);
    expect(found.map(({ athleteId }) => athleteId)).toContain(ilsa);
    await stored('sequences', SEQUENCE);
    expect((await coach.ask<StudioSuggestions>('GET', '/suggestions')).body).toEqual({ suggestions: found, toLookAt: 0 });
  });

  test('what an older program or another day found is found again', async () => {
    await led(ilsa);
    await coach.ask<Evidence[]>('GET', `/athletes/${ilsa}/evidence`);
    const rows = house.source.getRepository(KeptAnswerRow);
    const kept = () => rows.findOneByOrFail({ athleteId: ilsa, kind: 'evidence' });
    const sound = await kept();
    for (const change of [{ rules: 'of before' }, { onDay: '2026-05-19' }, { evidenceRevision: sound.evidenceRevision - 1 }]) {
      await rows.update({ id: sound.id }, { ...change, answer: ['of before'] });
      expect((await coach.ask<Evidence[]>('GET', `/athletes/${ilsa}/evidence`)).body).toEqual(sound.answer);
      expect(await kept()).toEqual(sound);
    }
  });

  test('two devices answer one suggestion at once: one is taken, the other is told', async () => {
    await led(ilsa, { day: '2026-05-18', discomfort: 6 });
    const { body } = await coach.ask<SuggestionsOfAthlete>('GET', `/athletes/${ilsa}/suggestions`);
    const [suggestion] = body.open as [AthleteSuggestion];
    const answer = { key: suggestion.key, evidenceKey: suggestion.evidenceKey, answer: 'accepted', at: NOW.toISOString() };
    const answers = await Promise.all([1, 2, 3].map(() => coach.ask('PUT', `/athletes/${ilsa}/suggestions/${uuid()}`, answer)));
    expect(answers.map(({ status }) => status).sort()).toEqual([200, 409, 409]);
    const after = await coach.ask<SuggestionsOfAthlete>('GET', `/athletes/${ilsa}/suggestions`);
    expect(after.body.answered).toHaveLength(1);
  });
});
