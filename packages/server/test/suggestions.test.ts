import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import type {
  AnsweredSuggestion,
  AssignmentItem,
  AthleteSuggestion,
  EffortSessionAnswer,
  SuggestionsOfAthlete,
  PredictionsAnswer,
  Problem,
  SessionRecord,
  StoredProgramme,
  StoredSequence,
} from '@clay-pot/contracts';
import type { Programme } from '@clay-pot/core';
import { compileTimeline, sentenceText as readable } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import { v7 as uuid } from 'uuid';
import { allSuggestions, ATHLETE, type Browser, House, pointers, sequenceOf } from './house.js';

// A thread that computes for the first time loads the core first.
jest.setTimeout(40_000);

const NOW = '2026-05-20T10:00:00.000Z';
let house: House;
let coach: Browser;
beforeAll(async () => {
  house = await House.open('suggestions', { now: () => new Date(NOW) });
  coach = await house.coach('suggestions');
});

const HOLD = sequenceOf('Hold', ['load', 'bearing.palm-support', 'knees-back']);
const block = {
  ...HOLD.blocks[0]!,
  dose: { ...HOLD.blocks[0]!.dose, sets: 2, work: { kind: 'time' as const, seconds: 15 } },
};
const PLAN = { ...HOLD, blocks: [block] };

interface Scene {
  readonly id: string;
  readonly sequenceId: string;
  readonly programmeId: string;
}

/** Somebody with a programme that has the hold every second day. */
async function someone(name: string): Promise<Scene> {
  const [id, sequenceId, programmeId] = [uuid(), uuid(), uuid()];
  await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name });
  await coach.ask('PUT', `/sequences/${sequenceId}`, PLAN);
  const document: Programme = {
    title: 'Holds',
    fromDay: '2026-05-11',
    weeks: [
      { kind: 'build', amountPercent: 100 },
      { kind: 'build', amountPercent: 100 },
      { kind: 'build', amountPercent: 100 },
    ],
    plans: [{ id: 'a', sequenceId }],
    sessions: ['16', '18', '21', '23', '25'].map((day, index) => ({ id: `s${index + 1}`, day: `2026-05-${day}`, planId: 'a' })),
  };
  expect((await coach.ask('PUT', `/programmes/${programmeId}`, { athleteId: id, document })).status).toBe(200);
  return { id, sequenceId, programmeId };
}

/** Leads the hold on a day, all of it done and told of. */
async function lead({ id: athleteId, sequenceId }: Scene, day: string, discomfort: number): Promise<string> {
  const id = uuid();
  const endedAt = `${day}T09:10:00.000Z`;
  await coach.ask('PUT', `/sessions/${id}`, { athleteId, sequenceId, plan: PLAN, startedAt: `${day}T09:00:00.000Z` });
  for (const { blockId, set, side, direction, unit, plannedAmount } of compileTimeline(PLAN, shippedMovement).stints) {
    await coach.ask('PUT', `/sessions/${id}/sets/${uuid()}`, {
      ...{ blockId, movementId: block.movementId, levelId: block.levelId, set, side, direction, unit, plannedAmount },
      ...{ doneAmount: plannedAmount, endedAt, corrects: null },
    });
  }
  const report = { blockId: block.id, discomfort, exertion: 5, note: '', at: endedAt };
  await coach.ask('PUT', `/sessions/${id}/reports/${uuid()}`, report);
  await coach.ask('PUT', `/sessions/${id}/end`, { ending: 'completed', note: '', endedAt });
  return id;
}

const suggestionsOf = async ({ id }: Scene) => (await coach.ask<SuggestionsOfAthlete>('GET', `/athletes/${id}/suggestions`)).body;
const documentOf = async ({ programmeId }: Scene) => (await coach.ask<StoredProgramme>('GET', `/programmes/${programmeId}`)).body;
const AT = '2026-05-20T10:00:00.000Z';
const answer = ({ id }: Scene, { key, evidenceKey }: AthleteSuggestion, more: object, answerId = uuid()) =>
  coach.ask<AnsweredSuggestion>('PUT', `/athletes/${id}/suggestions/${answerId}`, { key, evidenceKey, at: AT, ...more });
/** Of an answer that was refused: what was wrong with it. */
const refusedAt = ({ body }: { body: unknown }) => pointers(body as Problem);
const holdSuggestion = async (scene: Scene) => (await suggestionsOf(scene)).open.find(({ movementId }) => movementId !== null)!;

describe('a suggestion', () => {
  test('is made from what was led, with what it rests on; accepted, it changes the programme from its next session on', async () => {
    const scene = await someone('Progress');
    await lead(scene, '2026-05-13', 1);
    const newest = await lead(scene, '2026-05-18', 1);
    const suggestion = await holdSuggestion(scene);
    expect(suggestion).toMatchObject({ kind: 'progress', athleteName: 'Progress', sessionId: newest });
    expect(suggestion.evidence.map(({ sessionId }) => sessionId)[0]).toBe(newest);
    const { etag } = await documentOf(scene);
    const { status, body } = await answer(scene, suggestion, { answer: 'accepted' });
    expect(status).toBe(200);
    expect(body).toMatchObject({ answer: 'accepted', programmeId: scene.programmeId, sessionId: newest });
    const after = await documentOf(scene);
    expect(after.etag).not.toBe(etag);
    expect(after.document.changes).toMatchObject([
      { fromDay: '2026-05-21', planId: 'a', edits: [{ kind: 'change', blockId: block.id, dose: { sets: 2, work: { seconds: 20 } } }] },
    ]);
    expect(after.document.changes?.[0]?.reason).toContain('Progress: Palm support');
    expect((await suggestionsOf(scene)).open.filter(({ movementId }) => movementId !== null)).toEqual([]);
  });

  test('a typed dose takes the place of the proposed one; what it may not be is refused by its place', async () => {
    const scene = await someone('Typed');
    await lead(scene, '2026-05-13', 1);
    await lead(scene, '2026-05-18', 1);
    const suggestion = await holdSuggestion(scene);
    const dose = { ...block.dose, sets: 3, work: { kind: 'time', seconds: 17 } };
    const typed = (more: object) => answer(scene, suggestion, { answer: 'changed', optionId: 'next', dose, ...more });
    expect(refusedAt(await typed({ answer: 'accepted' }))).toEqual(['/answer']);
    expect(refusedAt(await typed({ dose: { ...dose, sets: 0 } }))).toEqual(['/dose/sets']);
    expect(refusedAt(await typed({ dose: { ...dose, work: { kind: 'distance', metres: 20 } } }))).toEqual(['/dose/work/kind']);
    const { status, body } = await typed({});
    expect([status, body.words]).toEqual([200, 'Palm support: 2 sets of 15 s → 3 sets of 17 s']);
    expect((await documentOf(scene)).document.changes).toMatchObject([
      { edits: [{ blockId: block.id, dose: { sets: 3, work: { seconds: 17 } } }] },
    ]);
  });

  test('no dose can be typed that makes an ease more than is planned', async () => {
    const scene = await someone('Typed less');
    await lead(scene, '2026-05-18', 6);
    const suggestion = await holdSuggestion(scene);
    expect(suggestion.kind).toBe('ease');
    const optionId = suggestion.options.find(({ typed }) => typed)?.id;
    const dose = { ...block.dose, sets: 4 };
    const refused = await answer(scene, suggestion, { answer: 'changed', optionId, dose });
    expect([refused.status, refusedAt(refused)]).toEqual([422, ['/dose']]);
    expect((await documentOf(scene)).document.changes ?? []).toEqual([]);
  });

  test('a fault of form holds it; ticked off again, it grows', async () => {
    const scene = await someone('Form');
    await lead(scene, '2026-05-13', 1);
    const newest = await lead(scene, '2026-05-18', 1);
    const tick = (seen: boolean, at: string, id = uuid(), fault = 'Index knuckle lifts') =>
      coach.ask('PUT', `/sessions/${newest}/form/${id}`, { blockId: block.id, hand: 'left', fault, seen, at });
    const id = uuid();
    for (const repeated of [1, 2]) {
      expect([repeated, (await tick(true, '2026-05-18T09:04:00.000Z', id)).status]).toEqual([repeated, 204]);
    }
    expect((await tick(false, '2026-05-18T09:05:00.000Z', id)).status).toBe(409);
    expect(pointers((await tick(true, '2026-05-18T09:04:00.000Z', uuid(), '')).body)).toEqual(['/fault']);
    const record = (await coach.ask<SessionRecord>('GET', `/sessions/${newest}`)).body;
    expect(record.form).toMatchObject([{ blockId: block.id, hand: 'left', fault: 'Index knuckle lifts', seen: true }]);
    const held = await holdSuggestion(scene);
    expect(held).toMatchObject({ kind: 'hold', cause: 'form', hands: ['left'], sessionId: newest });
    expect(held.why).toContain('index knuckle lifts');
    await tick(false, '2026-05-18T09:06:00.000Z');
    expect((await holdSuggestion(scene)).kind).toBe('progress');
  });

  test('sent twice it is one answer; taken back, the programme is as it was and the suggestion waits again', async () => {
    const scene = await someone('Back and forth');
    await lead(scene, '2026-05-13', 1);
    await lead(scene, '2026-05-18', 1);
    const suggestion = await holdSuggestion(scene);
    const id = uuid();
    await answer(scene, suggestion, { answer: 'changed', optionId: 'set' }, id);
    expect((await answer(scene, suggestion, { answer: 'changed', optionId: 'set' }, id)).status).toBe(200);
    expect((await documentOf(scene)).document.changes).toHaveLength(1);
    await coach.ask('PUT', `/athletes/${scene.id}/suggestions/${id}/taken-back`, { at: AT });
    expect((await documentOf(scene)).document.changes).toBeUndefined();
    expect((await holdSuggestion(scene)).key).toBe(suggestion.key);
    expect((await suggestionsOf(scene)).answered).toMatchObject([{ id, answer: 'taken back' }]);
  });

  test('of a sequence that is assigned in no programme makes the person’s own version, in its place; taken back, all is as it was', async () => {
    const [id, sequenceId, assignmentId, answerId] = [uuid(), uuid(), uuid(), uuid()];
    await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name: 'Merryn' });
    await coach.ask('PUT', `/sequences/${sequenceId}`, PLAN);
    const assigned = { athleteId: id, sequenceId, weekdays: [1, 4], fromDay: '2026-05-11' };
    expect((await coach.ask('PUT', `/assignments/${assignmentId}`, assigned)).status).toBe(200);
    const scene = { id, sequenceId, programmeId: '' };
    await lead(scene, '2026-05-13', 1);
    await lead(scene, '2026-05-18', 1);
    const suggestion = await holdSuggestion(scene);
    expect(suggestion).toMatchObject({ kind: 'progress', sequenceId, isAssigned: true });
    const given = async () =>
      (await coach.ask<AssignmentItem[]>('GET', '/assignments')).body.find((each) => each.id === assignmentId)?.sequenceId;
    const { status, body } = await answer(scene, suggestion, { answer: 'accepted' }, answerId);
    expect([status, body.programmeId]).toEqual([200, null]);
    const own = (await coach.ask<StoredSequence>('GET', `/sequences/${body.sequenceId}`)).body;
    expect(own.document).toMatchObject({ title: 'Hold for Merryn', blocks: [{ dose: { sets: 2, work: { seconds: 20 } } }] });
    expect(await given()).toBe(body.sequenceId);
    // What others do stays as it is.
    expect((await coach.ask<StoredSequence>('GET', `/sequences/${sequenceId}`)).body.document).toMatchObject(PLAN);
    // What comes next is found in their own version from now on: it stays assigned.
    expect((await suggestionsOf(scene)).open.every(({ sequenceId: of, isAssigned }) => of === null || isAssigned)).toBe(true);
    // It hurts: their own version is changed further, and the one before goes into the archive until that is taken back.
    await lead({ ...scene, sequenceId: body.sequenceId! }, '2026-05-19', 6);
    const [ease, second] = [await holdSuggestion(scene), uuid()];
    expect(ease).toMatchObject({ kind: 'ease', sequenceId: body.sequenceId, isAssigned: true });
    const eased = (await answer(scene, ease, { answer: 'accepted' }, second)).body;
    expect(await given()).toBe(eased.sequenceId);
    expect((await coach.ask<StoredSequence>('GET', `/sequences/${eased.sequenceId}`)).body.document.title).toBe('Hold for Merryn');
    await coach.ask('PUT', `/athletes/${id}/suggestions/${second}/taken-back`, { at: AT });
    expect(await given()).toBe(body.sequenceId);
    // Sent again it makes no second one.
    expect((await answer(scene, suggestion, { answer: 'accepted' }, answerId)).body.sequenceId).toBe(body.sequenceId);

    await coach.ask('PUT', `/athletes/${id}/suggestions/${answerId}/taken-back`, { at: AT });
    expect(await given()).toBe(sequenceId);
    expect((await coach.ask('GET', `/sequences/${body.sequenceId}`)).status).toBe(404);
  });

  test('of a sequence that was led without being assigned makes and assigns a version, on the weekdays on which it was led', async () => {
    const [id, sequenceId, answerId] = [uuid(), uuid(), uuid()];
    await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name: 'Kerensa' });
    await coach.ask('PUT', `/sequences/${sequenceId}`, PLAN);
    const scene = { id, sequenceId, programmeId: '' };
    // A Wednesday and a Monday.
    await lead(scene, '2026-05-13', 1);
    await lead(scene, '2026-05-18', 1);
    const suggestion = await holdSuggestion(scene);
    expect(suggestion).toMatchObject({ kind: 'progress', sequenceId, isAssigned: false });
    const { body } = await answer(scene, suggestion, { answer: 'accepted' }, answerId);
    const assigned = async () => (await coach.ask<AssignmentItem[]>('GET', '/assignments')).body.filter((each) => each.athleteId === id);
    expect(await assigned()).toMatchObject([{ sequenceId: body.sequenceId, weekdays: [1, 3], sequenceTitle: 'Hold for Kerensa' }]);
    await coach.ask('PUT', `/athletes/${id}/suggestions/${answerId}/taken-back`, { at: AT });
    expect(await assigned()).toEqual([]);
    expect((await coach.ask('GET', `/sequences/${body.sequenceId}`)).status).toBe(404);
  });

  test('what is assigned and goes past a new restriction is changed to what may be led', async () => {
    const [id, sequenceId] = [uuid(), uuid()];
    const cautions = [{ caution: 'sore-place', hand: 'left', place: 'wrist-back', symptom: 'ache', score: 6 }];
    expect((await coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name: 'Jory', cautions })).status).toBe(200);
    await coach.ask('PUT', `/sequences/${sequenceId}`, PLAN);
    await coach.ask('PUT', `/assignments/${uuid()}`, { athleteId: id, sequenceId, weekdays: [1, 4], fromDay: '2026-05-11' });
    const scene = { id, sequenceId, programmeId: '' };
    const limits = async () => (await suggestionsOf(scene)).open.find(({ key }) => key === 'limits');
    const suggestion = (await limits())!;
    expect(readable(suggestion.why)).toBe('“Hold” can’t start: 1 block goes past a restriction. Change or remove it.');
    const { body } = await answer(scene, suggestion, { answer: 'accepted' });
    const { document } = (await coach.ask<StoredSequence>('GET', `/sequences/${body.sequenceId}`)).body;
    const led = await coach.ask<EffortSessionAnswer>('POST', '/effort/session', { athleteId: id, sequence: document });
    expect(led.body.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    expect(await limits()).toBeUndefined();
  });

  test('declined, it needs a reason, and comes back only with new evidence', async () => {
    const scene = await someone('Declined');
    await lead(scene, '2026-05-14', 1);
    await lead(scene, '2026-05-13', 1);
    const suggestion = await holdSuggestion(scene);
    expect((await answer(scene, suggestion, { answer: 'declined' })).status).toBe(422);
    expect((await answer(scene, suggestion, { answer: 'declined', reason: 'A show on Saturday.' })).status).toBe(200);
    expect(await holdSuggestion(scene)).toBeUndefined();
    await lead(scene, '2026-05-18', 1);
    expect(await holdSuggestion(scene)).toMatchObject({ key: suggestion.key, kind: 'progress' });
    expect((await answer(scene, suggestion, { answer: 'accepted' })).status).toBe(409);
    expect((await documentOf(scene)).document.changes).toBeUndefined();
  });

  test('is found anew when something of its session arrives late', async () => {
    const scene = await someone('Late');
    await lead(scene, '2026-05-12', 1);
    const newest = await lead(scene, '2026-05-18', 1);
    expect((await holdSuggestion(scene)).kind).toBe('progress');
    const report = { blockId: block.id, discomfort: 1, exertion: 9, note: '', at: '2026-05-18T09:20:00.000Z' };
    await coach.ask('PUT', `/sessions/${newest}/reports/${uuid()}`, report);
    expect(await holdSuggestion(scene)).toBeUndefined();
  });

  test('of an unknown option is refused, and says which there are', async () => {
    const scene = await someone('Unknown');
    await lead(scene, '2026-05-18', 6);
    const suggestion = await holdSuggestion(scene);
    expect(suggestion.kind).toBe('ease');
    const { status, body } = await answer(scene, suggestion, { answer: 'changed', optionId: 'dance' });
    expect(status).toBe(422);
    expect(JSON.stringify(body)).toContain('must be one of: level');
  });

  test('of a referral is not declined; pain that grows goes on record, and off it when that is taken back', async () => {
    const scene = await someone('Growing');
    for (const [index, day] of ['2026-05-14', '2026-05-16', '2026-05-18'].entries()) {
      const session = await lead(scene, day, 1);
      await coach.ask('PUT', `/sessions/${session}/morning`, { left: index + 1, right: 0, at: `${day}T23:00:00.000Z` });
    }
    const [suggestion] = (await suggestionsOf(scene)).open;
    expect(suggestion).toMatchObject({ kind: 'refer', hands: ['left'] });
    expect((await answer(scene, suggestion!, { answer: 'declined', reason: 'No.' })).status).toBe(422);
    const id = uuid();
    await answer(scene, suggestion!, { answer: 'accepted' }, id);
    const athlete = async () => (await coach.ask<{ cautions: object[] }>('GET', `/athletes/${scene.id}`)).body;
    expect((await athlete()).cautions).toMatchObject([{ caution: 'rest-pain', hand: 'left', since: '2026-05-20' }]);
    await coach.ask('PUT', `/athletes/${scene.id}/suggestions/${id}/taken-back`, { at: AT });
    expect((await athlete()).cautions).toEqual([]);
  });

  test('over all athletes the gravest is told first, and what was found is found again as soon as anything is recorded', async () => {
    expect((await allSuggestions(coach)).map(({ kind }) => kind)[0]).toBe('refer');
    const scene = await someone('New');
    expect((await allSuggestions(coach)).filter(({ athleteId }) => athleteId === scene.id)).toEqual([]);
    await lead(scene, '2026-05-19', 6);
    expect((await allSuggestions(coach)).filter(({ athleteId }) => athleteId === scene.id)).toMatchObject([{ kind: 'ease' }]);
  });
});

test('what was to be expected of each block stands beside what came, by what was known the day before', async () => {
  const scene = await someone('Prediction');
  await lead(scene, '2026-05-14', 1);
  await lead(scene, '2026-05-18', 1);
  const { body } = await coach.ask<PredictionsAnswer>('GET', `/athletes/${scene.id}/predictions`);
  expect(body.blocks.map(({ onDay, movementId, reported, isWhole }) => [onDay, movementId, reported, isWhole])).toEqual([
    ['2026-05-14', 'bearing.palm-support', 5, true],
    ['2026-05-18', 'bearing.palm-support', 5, true],
  ]);
  expect(body.blocks[0]!.chance).toBeGreaterThan(0.9);
});
