import { beforeEach, beforeAll, describe, expect, test } from '@jest/globals';
import type { Athlete, EffortSessionAnswer, Problem, SessionRecord } from '@clay-pot/contracts';
import { type RecordedCaution, sentenceText } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { allSuggestions, ATHLETE, type Browser, furnish, House, pointers, SEQUENCE } from './house.js';

let house: House;
let coach: Browser;
let ids: { athleteId: string; sequenceId: string };
beforeAll(async () => {
  house = await House.open('standing_stops', { now: () => new Date('2026-06-10T10:00:00.000Z') });
  coach = await house.coach('rowan');
  ids = await furnish(coach);
});
beforeEach(async () => {
  ids = { ...ids, athleteId: uuid() };
  await coach.ask('PUT', `/athletes/${ids.athleteId}`, ATHLETE);
});

const athlete = async () => (await coach.ask<Athlete>('GET', `/athletes/${ids.athleteId}`)).body;
const save = async (cautions: readonly RecordedCaution[]) => {
  const { id, etag, ...person } = await athlete();
  return coach.ask<Athlete & Problem>('PUT', `/athletes/${id}`, { ...person, cautions }, { 'if-match': etag });
};
const begin = async (id: string, startedAt: string) =>
  (await coach.ask<SessionRecord>('PUT', `/sessions/${id}`, { ...ids, plan: SEQUENCE, startedAt })).body;
const end = (id: string, change: object) =>
  coach.ask<SessionRecord>('PUT', `/sessions/${id}/end`, { note: '', endedAt: '2026-06-08T09:10:00.000Z', ...change });
const STOP = { ending: 'stopped', stopSign: 'numbness', stopHand: 'left' };

/** Leads a session that is stopped for numbness of the left hand. */
async function stopped(change: object = {}): Promise<string> {
  const id = uuid();
  await begin(id, '2026-06-08T09:00:00.000Z');
  expect((await end(id, { ...STOP, ...change })).status).toBe(200);
  return id;
}
/** What editor, page before a session and sheet would say of the next one. */
const stopsOfNext = async () => {
  const question = { athleteId: ids.athleteId, sequence: SEQUENCE, at: '2026-06-10T09:00:00.000Z' };
  const { body } = await coach.ask<EffortSessionAnswer>('POST', '/effort/session', question);
  return body.findings.filter(({ severity }) => severity === 'stop').map(({ text }) => sentenceText(text));
};
const SAID = 'Left hand: numbness or tingling, stopped on 8 Jun 2026: no loading until a doctor or hand therapist has checked it.';

describe('a sign that stopped a session', () => {
  test('stands in the athlete’s record, with hand, day and sign, and is held against the next start', async () => {
    expect(await stopsOfNext()).toEqual([]);
    const { etag } = await athlete();
    const sessionId = await stopped();
    const after = await athlete();
    expect(after.cautions).toEqual([{ caution: 'stop-sign', hand: 'left', since: '2026-06-08', stopped: { sessionId, sign: 'numbness' } }]);
    expect(after.etag).not.toBe(etag);
    expect(await stopsOfNext()).toEqual([SAID]);
  });

  test('is told on Today until it is lifted, however many sessions were led since', async () => {
    const sessionId = await stopped();
    const later = uuid();
    await begin(later, '2026-06-09T09:00:00.000Z');
    await end(later, { ending: 'completed', endedAt: '2026-06-09T09:20:00.000Z' });
    const suggestion = async () => (await allSuggestions(coach)).find(({ athleteId }) => athleteId === ids.athleteId);
    const found = await suggestion();
    expect({ ...found, why: sentenceText(found!.why) }).toMatchObject({ kind: 'refer', why: SAID, sessionId });
    const [entry] = (await athlete()).cautions;
    await save([{ ...entry!, clearedOn: '2026-06-10', clearedBy: 'Dr Amari Voss' }]);
    expect(await suggestion()).toBeUndefined();
  });

  test('does not keep what was nevertheless done from being recorded: it is flagged in the same words', async () => {
    await stopped();
    const record = await begin(uuid(), '2026-06-09T09:00:00.000Z');
    expect(record.begunAgainst).toEqual([SAID]);
  });

  test('sent twice stands once; where nobody said which hand, it is both', async () => {
    const id = await stopped({ stopHand: undefined });
    expect((await end(id, { ...STOP, stopHand: undefined })).status).toBe(200);
    expect((await athlete()).cautions).toMatchObject([{ hand: 'both' }]);
  });

  test('of two signs that two devices tell of one session both stand, and both are lifted', async () => {
    const id = await stopped();
    expect((await end(id, { ...STOP, stopSign: 'pop', stopHand: 'right' })).status).toBe(200);
    const { cautions } = await athlete();
    expect(cautions.map(({ hand, stopped: of }) => [hand, of!.sign])).toEqual([
      ['left', 'numbness'],
      ['right', 'pop'],
    ]);
    expect((await coach.ask<SessionRecord>('GET', `/sessions/${id}`)).body).toMatchObject({ stopSign: 'numbness' });
    const clearance = { clearedOn: '2026-06-10', clearedBy: 'Dr Amari Voss' };
    expect((await save([{ ...cautions[0]!, ...clearance }])).status).toBe(422);
    expect((await save(cautions.map((entry) => ({ ...entry, ...clearance })))).status).toBe(200);
    expect(await stopsOfNext()).toEqual([]);
  });

  test('is lifted by saying who cleared it and when, within which limits; never by taking it out', async () => {
    await stopped();
    const [entry] = (await athlete()).cautions;
    const gone = await save([]);
    expect([gone.status, pointers(gone.body)]).toEqual([422, ['/cautions']]);
    expect(gone.body.detail).toContain('who cleared it and when');
    const milder = await save([{ ...entry!, hand: 'right' }]);
    expect([milder.status, pointers(milder.body)]).toEqual([422, ['/cautions']]);
    const cleared = { ...entry!, clearedOn: '2026-06-10', clearedBy: 'Dr Amari Voss', within: { effortPercent: 30 } };
    expect((await save([cleared])).status).toBe(200);
    expect((await athlete()).cautions).toEqual([cleared]);
    expect((await stopsOfNext()).every((text) => text.includes('effort, limit 30 %'))).toBe(true);
  });

  test('comes from a session and from nowhere else', async () => {
    const invented = { caution: 'stop-sign', stopped: { sessionId: uuid(), sign: 'pop' } } as const;
    const refused = await save([invented]);
    expect([refused.status, pointers(refused.body)]).toEqual([422, ['/cautions/0/stopped']]);
    const fresh = await coach.ask<Problem>('PUT', `/athletes/${uuid()}`, { ...ATHLETE, cautions: [invented] });
    expect(fresh.status).toBe(422);
  });

  test('whoever edits the record meanwhile is told that it has changed', async () => {
    const { id, etag, ...before } = await athlete();
    await stopped();
    const answer = await coach.ask<Problem>('PUT', `/athletes/${id}`, { ...before, notes: 'x' }, { 'if-match': etag });
    expect(answer.status).toBe(412);
    expect((await athlete()).cautions).toHaveLength(1);
  });
});

test('stops of before stand after the house has been opened anew, of both hands; and go when that is taken back', async () => {
  const id = await stopped();
  await house.undoTo('StandingStops');
  const cautions = async () => {
    const [row] = await house.source.query('SELECT cautions FROM athletes WHERE id = ?', [ids.athleteId]);
    return typeof row.cautions === 'string' ? JSON.parse(row.cautions) : row.cautions;
  };
  expect(await cautions()).toEqual([]);
  await house.source.runMigrations();
  expect(await cautions()).toMatchObject([{ hand: 'both', since: '2026-06-08', stopped: { sessionId: id, sign: 'numbness' } }]);
});
