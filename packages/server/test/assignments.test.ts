import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import { sentenceText } from '@clay-pot/core';
import type { AssignmentInput, AssignmentItem, Today } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { allSuggestions, ATHLETE, type Browser, furnish, House, pointers, SEQUENCE } from './house.js';

/** A Wednesday noon in Amsterdam. */
const NOW = new Date('2026-06-10T10:00:00.000Z');
let house: House;
let coach: Browser;
let pair: { athleteId: string; sequenceId: string };
let studio = 0;
beforeAll(async () => {
  house = await House.open('assignments', { now: () => NOW });
});
beforeEach(async () => {
  coach = await house.coach(`studio-${studio++}`);
  pair = await furnish(coach);
});

const give = (id: string, change: Partial<AssignmentInput> = {}) =>
  coach.ask<AssignmentItem>('PUT', `/assignments/${id}`, {
    ...pair,
    weekdays: [5, 1, 3],
    fromDay: '2026-06-01',
    ...change,
  });
const list = async () => (await coach.ask<AssignmentItem[]>('GET', '/assignments')).body;
const today = async () => (await coach.ask<Today>('GET', '/today')).body;
const suggestions = () => allSuggestions(coach);
const lead = async (startedAt: string, change: { ending?: string; stopSign?: string; discomfort?: number } = {}) => {
  const { ending = 'completed', stopSign, discomfort = 1 } = change;
  const id = uuid();
  const at = new Date(Date.parse(startedAt) + 300_000).toISOString();
  await coach.ask('PUT', `/sessions/${id}`, { ...pair, plan: SEQUENCE, startedAt });
  await coach.ask('PUT', `/sessions/${id}/reports/${uuid()}`, { blockId: 'b1', discomfort, exertion: 5, note: '', at });
  await coach.ask('PUT', `/sessions/${id}/end`, { ending, note: '', endedAt: at, ...(stopSign && { stopSign }) });
  return id;
};

describe('giving a sequence', () => {
  test('is told with names, weekdays in order; given again it is changed, taken back it is gone', async () => {
    const id = uuid();
    expect((await give(id)).body).toMatchObject({
      athleteName: 'Test Person',
      sequenceTitle: 'Two blocks',
      weekdays: [1, 3, 5],
    });
    await give(id, { weekdays: [2] });
    expect(await list()).toMatchObject([{ id, weekdays: [2] }]);
    expect((await coach.ask('DELETE', `/assignments/${id}`)).status).toBe(204);
    expect(await list()).toEqual([]);
    expect((await coach.ask('DELETE', `/assignments/${id}`)).status).toBe(404);
  });

  test('needs a known athlete, a known sequence and a weekday', async () => {
    expect((await give(uuid(), { athleteId: uuid() })).status).toBe(404);
    expect((await give(uuid(), { sequenceId: uuid() })).status).toBe(404);
    const answer = await coach.ask('PUT', `/assignments/${uuid()}`, { ...pair, weekdays: [], fromDay: '2026-06-01' });
    expect(pointers(answer.body)).toEqual(['/weekdays']);
  });

  test('of a removed sequence it is silent, and speaks again when the sequence is restored', async () => {
    await give(uuid());
    await coach.ask('DELETE', `/sequences/${pair.sequenceId}`);
    expect([await list(), (await today()).due]).toEqual([[], []]);
    await coach.ask('POST', `/sequences/${pair.sequenceId}/restore`);
    expect([(await list()).length, (await today()).due.length]).toEqual([1, 1]);
  });
});

describe('today', () => {
  test('who is due, what was missed, when the last time was, however long ago', async () => {
    await lead('2026-01-05T09:00:00.000Z');
    await give(uuid());
    const [due] = (await today()).due;
    expect(due).toMatchObject({
      state: 'due',
      durationMs: 156_000,
      missedDays: ['2026-06-03', '2026-06-05', '2026-06-08'],
    });
    expect(due!.lastSession?.startedAt).toBe('2026-01-05T09:00:00.000Z');
  });

  test('who may be hurt stands above all and is due first; what happened since yesterday is told, the grave first', async () => {
    const numb = { athleteId: uuid(), sequenceId: pair.sequenceId };
    await coach.ask('PUT', `/athletes/${numb.athleteId}`, { ...ATHLETE, name: 'Zed Numb', cautions: [{ caution: 'numbness' }] });
    await give(uuid());
    await give(uuid(), numb);
    const calm = await lead('2026-06-09T09:00:00.000Z');
    const sore = await lead('2026-06-09T15:00:00.000Z', { discomfort: 7 });
    const { atRisk, due, changes } = await today();
    expect(atRisk.map(({ athleteName, reasons }) => [athleteName, sentenceText(reasons[0]!)])).toEqual([
      ['Zed Numb', 'Numbness or tingling: unloaded only'],
      ['Test Person', expect.stringContaining('Peak discomfort 7 of 10')],
    ]);
    expect(due.map(({ athleteName }) => athleteName)).toEqual(['Zed Numb', 'Test Person']);
    expect(changes.map(({ sessionId, isGrave }) => [sessionId, isGrave])).toEqual([
      [sore, true],
      [calm, false],
    ]);
  });

  test('on another weekday nobody is due', async () => {
    await give(uuid(), { weekdays: [2, 4] });
    expect((await today()).due).toEqual([]);
  });

  test('a session of today makes it done, by the studio’s calendar', async () => {
    await give(uuid());
    // Half past midnight in Amsterdam is the evening before in UTC.
    await lead('2026-06-09T22:30:00.000Z');
    expect((await today()).due[0]).toMatchObject({ state: 'done' });
  });

  test('a session that is still open does not make it done', async () => {
    await give(uuid());
    await coach.ask('PUT', `/sessions/${uuid()}`, { ...pair, plan: SEQUENCE, startedAt: '2026-06-10T09:00:00.000Z' });
    expect((await today()).due[0]).toMatchObject({ state: 'due' });
  });

  test.each<[number, string[]]>([
    [2, []],
    [3, ['hold']],
    [4, ['hold']],
    [5, ['ease']],
    [10, ['ease']],
  ])('a discomfort of %d in the last session calls for %j', async (discomfort, kinds) => {
    await lead('2026-06-08T09:00:00.000Z', { discomfort: 9 });
    await lead('2026-06-09T09:00:00.000Z', { discomfort });
    expect((await suggestions()).map((suggestion) => suggestion.kind)).toEqual(kinds);
  });

  test('a stop calls for referral, whatever the discomfort', async () => {
    await lead('2026-06-09T09:00:00.000Z', { ending: 'stopped', stopSign: 'colour', discomfort: 0 });
    const [suggestion] = await suggestions();
    expect(suggestion).toMatchObject({ kind: 'refer', athleteName: 'Test Person' });
    expect(sentenceText(suggestion!.why)).toContain('cold, blue or white');
  });
});

describe('the morning after', () => {
  const tell = (id: string, at: string, left: number) => coach.ask('PUT', `/sessions/${id}/morning`, { left, right: 0, at });

  test('is asked of the newest session of a day before, whatever is led today', async () => {
    const first = await lead('2026-06-07T08:00:00.000Z');
    await tell(first, '2026-06-08T07:00:00.000Z', 2);
    const yesterday = await lead('2026-06-09T08:00:00.000Z');
    await lead('2026-06-10T08:00:00.000Z');
    expect((await today()).mornings).toMatchObject([{ sessionId: yesterday, before: { left: 2, right: 0 } }]);
    await tell(yesterday, '2026-06-10T07:00:00.000Z', 1);
    expect((await today()).mornings).toEqual([]);
  });

  test('is not asked of a session that was stopped, nor of one of long ago', async () => {
    await lead('2026-06-06T08:00:00.000Z');
    await lead('2026-06-09T08:00:00.000Z', { ending: 'stopped', stopSign: 'sharp' });
    expect((await today()).mornings).toEqual([]);
  });
});
