import { beforeAll, describe, expect, jest, test } from '@jest/globals';
import type { EvaluateAnswer, Problem, ProgrammeListItem, StoredProgramme, Today } from '@clay-pot/contracts';
import type { Programme } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { EVALUATE_ANSWERED, EVALUATE_EXAMPLE } from '../src/programmes/examples.js';
import { type Browser, furnish, House, pointers, SEQUENCE } from './house.js';

// A thread that computes for the first time loads the core first.
jest.setTimeout(40_000);

const TODAY = '2026-05-04';
let house: House;
let coach: Browser;
let athleteId: string;
let sequenceId: string;
beforeAll(async () => {
  house = await House.open('programmes', { now: () => new Date(`${TODAY}T10:00:00Z`) });
  coach = await house.coach('programmes');
  ({ athleteId, sequenceId } = await furnish(coach));
});

const programme = (more: Partial<Programme> = {}): Programme => ({
  title: 'Toward the show',
  fromDay: TODAY,
  weeks: [
    { kind: 'build', amountPercent: 100 },
    { kind: 'taper', amountPercent: 50 },
  ],
  plans: [{ id: 'a', sequenceId }],
  sessions: [
    { id: 's1', day: '2026-05-05', planId: 'a' },
    { id: 's2', day: '2026-05-12', planId: 'a' },
  ],
  ...more,
});
const put = (id: string, document: Programme, etag?: string) =>
  coach.ask<StoredProgramme>('PUT', `/programmes/${id}`, { athleteId, document }, etag === undefined ? {} : { 'if-match': etag });

describe('a programme', () => {
  test('is kept, listed for its person, changed by whoever saw its last state, and taken back', async () => {
    const id = uuid();
    const { status, body } = await put(id, programme());
    expect(status).toBe(200);
    expect((await put(id, programme())).body.etag).toBe(body.etag);
    const changed = await put(id, programme({ title: 'Further' }), body.etag);
    expect(changed.body.document.title).toBe('Further');
    const stale = await put(id, programme({ title: 'At once' }), body.etag);
    expect(stale.status).toBe(412);
    expect(stale.body).toMatchObject({
      current: { document: { title: 'Further' } },
      changes: [{ text: 'Title: “Further” becomes “At once”' }],
    });
    const listed = await coach.ask<ProgrammeListItem[]>('GET', `/programmes?athleteId=${athleteId}`);
    expect(listed.body).toMatchObject([
      { id, title: 'Further', fromDay: TODAY, lastDay: '2026-05-17', next: { day: '2026-05-05', sequenceId } },
    ]);
    await coach.ask('DELETE', `/programmes/${id}`);
    expect((await coach.ask<ProgrammeListItem[]>('GET', '/programmes')).body).toEqual([]);
    await coach.ask('POST', `/programmes/${id}/restore`);
    expect((await coach.ask<ProgrammeListItem[]>('GET', '/programmes')).body).toHaveLength(1);
  });

  test.each<[string, () => Partial<Programme>, string]>([
    ['no weeks', () => ({ weeks: [] }), '/document/weeks'],
    [
      'an event in the past',
      () => ({ fromDay: '2026-04-20', event: { day: '2026-04-25', name: 'Show' }, sessions: [] }),
      '/document/event/day',
    ],
    ['a sequence of nobody', () => ({ plans: [{ id: 'a', sequenceId: uuid() }] }), '/document/plans/0/sequenceId'],
    ['a session outside', () => ({ sessions: [{ id: 's1', day: '2026-07-01', planId: 'a' }] }), '/document/sessions/0/day'],
    ['a plan of another name', () => ({ sessions: [{ id: 's1', day: TODAY, planId: 'b' }] }), '/document/sessions/0/planId'],
  ])('with %s is refused, and says where', async (_, more, pointer) => {
    const { status, body } = await put(uuid(), programme(more()));
    expect(status).toBe(422);
    expect(pointers(body as unknown as Problem)).toEqual([pointer]);
  });

  test('stays with its athlete', async () => {
    const id = uuid();
    const { body } = await put(id, programme());
    const other = await furnish(coach);
    const moved = await coach.ask(
      'PUT',
      `/programmes/${id}`,
      { athleteId: other.athleteId, document: programme() },
      { 'if-match': body.etag },
    );
    expect(pointers(moved.body)).toEqual(['/athleteId']);
  });
});

describe('POST /programmes/evaluate', () => {
  const evaluate = (question: object) => coach.ask<EvaluateAnswer>('POST', '/programmes/evaluate', question);

  test('answers weeks with their loads and findings, as the description says', async () => {
    const { status, body } = await evaluate(EVALUATE_EXAMPLE);
    expect(status).toBe(200);
    expect(body).toMatchObject(EVALUATE_ANSWERED);
    const [full, easier] = body.weeks;
    expect(easier!.doses['finger extensors']).toBeLessThan(full!.doses['finger extensors']!);
  });

  test('the studio’s sequences, the athlete’s record and what was carried out are heard', async () => {
    const day = '2026-05-04';
    const startedAt = `${day}T08:00:00.000Z`;
    const sessionId = uuid();
    await coach.ask('PUT', `/sessions/${sessionId}`, { athleteId, sequenceId, plan: SEQUENCE, startedAt });
    await coach.ask('PUT', `/sessions/${sessionId}/end`, { endedAt: `${day}T08:20:00.000Z`, ending: 'completed', note: '' });
    const sessions = [
      { id: 's1', day, planId: 'a' },
      { id: 's2', day: '2026-05-06', planId: 'a' },
    ];
    const { body } = await evaluate({ athleteId, programme: programme({ sessions }) });
    expect(body.weeks[0]!.sessions.map(({ state, title }) => [state, title])).toEqual([
      ['done', SEQUENCE.title],
      ['planned', SEQUENCE.title],
    ]);
  });

  test('a removed sequence is told of rather than missed', async () => {
    const gone = await furnish(coach);
    await coach.ask('DELETE', `/sequences/${gone.sequenceId}`);
    const { body } = await evaluate({ programme: programme({ plans: [{ id: 'a', sequenceId: gone.sequenceId }] }) });
    expect(body.findings.map(({ rule }) => rule)).toContain('plan-removed');
  });

  test('what is not sound says where', async () => {
    const { body } = await evaluate({ programme: programme({ sessions: [{ id: 's1', day: TODAY, planId: 'b' }] }) });
    expect(pointers(body as unknown as Problem)).toEqual(['/programme/sessions/0/planId']);
    const unknown = await evaluate({ programme: programme({ methodId: 'nobody’s' }) });
    expect(pointers(unknown.body as unknown as Problem)).toEqual(['/programme/methodId']);
  });
});

test('what a programme has on a day is due on Today, once, and done when it was led', async () => {
  const browser = await house.coach('today');
  const pair = await furnish(browser);
  const document = programme({ plans: [{ id: 'a', sequenceId: pair.sequenceId }], sessions: [{ id: 's1', day: TODAY, planId: 'a' }] });
  const id = uuid();
  await browser.ask('PUT', `/programmes/${id}`, { athleteId: pair.athleteId, document });
  await browser.ask('PUT', `/assignments/${uuid()}`, { ...pair, weekdays: [1], fromDay: '2026-04-27' });
  const due = async () => (await browser.ask<Today>('GET', '/today')).body.due;
  expect(await due()).toMatchObject([
    { from: { kind: 'programme', id, sessionId: 's1', amountPercent: 100 }, state: 'due', sequenceId: pair.sequenceId },
  ]);
  const sessionId = uuid();
  await browser.ask('PUT', `/sessions/${sessionId}`, { ...pair, plan: SEQUENCE, startedAt: `${TODAY}T08:00:00.000Z` });
  await browser.ask('PUT', `/sessions/${sessionId}/end`, { endedAt: `${TODAY}T08:20:00.000Z`, ending: 'completed', note: '' });
  expect(await due()).toMatchObject([{ state: 'done' }]);
});

test('goes out as a file and comes in for somebody else, with sequences of its own; a broken file stores nothing', async () => {
  const from = await house.coach('files-from');
  const pair = await furnish(from);
  const id = uuid();
  const document = programme({ plans: [{ id: 'a', sequenceId: pair.sequenceId, beginsAt: '07:00' }] });
  await from.ask('PUT', `/programmes/${id}`, { athleteId: pair.athleteId, document });
  const file = await from.ask<object>('GET', `/programmes/${id}/export`);
  expect(file.headers['content-disposition']).toBe('attachment; filename="toward-the-show.claypot.json"');
  expect(file.body).toMatchObject({ format: 'clay-pot/programme', version: 1, sequences: [{ planId: 'a' }] });

  const to = await house.coach('files-to');
  const { athleteId: whose } = await furnish(to);
  const text = JSON.stringify(file.body, null, 2);
  const newId = uuid();
  const { status, body } = await to.ask<StoredProgramme>('POST', '/programmes/import', {
    id: newId,
    athleteId: whose,
    text,
  });
  expect(status).toBe(201);
  expect(body.document.sessions).toEqual(document.sessions);
  expect(body.document.plans[0]!.sequenceId).not.toBe(pair.sequenceId);
  const titles = async () => (await to.ask<{ title: string }[]>('GET', '/sequences')).body.map(({ title }) => title);
  expect((await titles()).filter((title) => title === SEQUENCE.title)).toHaveLength(2);
  const broken = await to.ask('POST', '/programmes/import', {
    id: uuid(),
    athleteId: whose,
    text: text.replace('2026-05-05', '2027-05-05'),
  });
  expect(broken.status).toBe(422);
  expect(broken.body).toMatchObject({ errors: [{ pointer: '/sessions/0/day', line: expect.any(Number) }] });
  expect((await titles()).filter((title) => title === SEQUENCE.title)).toHaveLength(2);
});
