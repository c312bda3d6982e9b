import { beforeAll, describe, expect, test } from '@jest/globals';
import type { Athlete, DoneSetInput, Problem, SessionInput, SessionPage, SessionRecord } from '@clay-pot/contracts';
import { v7 as uuid } from 'uuid';
import { allSuggestions, ATHLETE, type Browser, furnish, House, pointers, SEQUENCE, SET } from './house.js';

let house: House;
let coach: Browser;
let ids: { athleteId: string; sequenceId: string };
beforeAll(async () => {
  house = await House.open('sessions');
  coach = await house.coach('willow');
  ids = await furnish(coach);
});

const START = '2026-05-04T08:00:00.000Z';
const begin = (id: string, change: Partial<Record<keyof SessionInput, unknown>> = {}) =>
  coach.ask<SessionRecord>('PUT', `/sessions/${id}`, { ...ids, plan: SEQUENCE, startedAt: START, ...change });
const addSet = (id: string, setId: string, change: Partial<DoneSetInput> = {}) =>
  coach.ask('PUT', `/sessions/${id}/sets/${setId}`, { ...SET, ...change });
const REPORT = { blockId: 'b1', discomfort: 2, exertion: 5, note: '', at: '2026-05-04T08:03:00.000Z' };
const report = (id: string, change = {}) => coach.ask('PUT', `/sessions/${id}/reports/${uuid()}`, { ...REPORT, ...change });
const end = (id: string, change = {}) =>
  coach.ask('PUT', `/sessions/${id}/end`, {
    ending: 'completed',
    note: '',
    endedAt: '2026-05-04T08:05:00.000Z',
    ...change,
  });
const read = async (id: string) => (await coach.ask<SessionRecord>('GET', `/sessions/${id}`)).body;

describe('a session', () => {
  test('is begun, filled, ended and read back, planned against done', async () => {
    const id = uuid();
    expect((await begin(id)).status).toBe(200);
    await addSet(id, uuid());
    await addSet(id, uuid(), { side: 'right', doneAmount: 6 });
    await report(id, { discomfort: 3 });
    await end(id, { note: 'Right hand let go.' });
    const record = await read(id);
    expect(record).toMatchObject({
      ending: 'completed',
      note: 'Right hand let go.',
      maxDiscomfort: 3,
      exertion: 5,
    });
    expect(record.rows.map((row) => [row.blockId, row.side, row.plannedAmount, row.doneAmount])).toEqual([
      ['b0', 'both', 30, null],
      ['b1', 'left', 8, 8],
      ['b1', 'right', 8, 6],
    ]);
    expect(record.completion).toBeCloseTo((0 + 1 + 0.75) / 3, 10);
  });

  test('everything may be sent again: after a restarted server each set is there once', async () => {
    const id = uuid();
    const setId = uuid();
    for (let time = 0; time < 3; time++) {
      expect((await begin(id)).status).toBe(200);
      expect((await addSet(id, setId)).status).toBe(204);
      expect((await end(id)).status).toBe(200);
    }
    expect((await read(id)).sets).toHaveLength(1);
  });

  test('the same set sent many times at once is stored once', async () => {
    const id = uuid();
    const setId = uuid();
    await begin(id);
    const answers = await Promise.all(Array.from({ length: 8 }, () => addSet(id, setId)));
    expect(answers.map((answer) => answer.status)).toEqual(Array(8).fill(204));
    expect((await read(id)).sets).toHaveLength(1);
  });

  test('what was recorded is not rewritten; a correction stands beside it and counts', async () => {
    const id = uuid();
    const setId = uuid();
    await begin(id);
    await addSet(id, setId);
    const rewritten = await addSet(id, setId, { doneAmount: 5 });
    expect(rewritten.status).toBe(409);
    expect(rewritten.body.detail).toContain('corrects');
    expect((await addSet(id, uuid(), { doneAmount: 5, corrects: setId })).status).toBe(204);
    const record = await read(id);
    expect(record.sets).toHaveLength(2);
    expect(record.rows.find((row) => row.side === 'left')?.doneAmount).toBe(5);
  });

  test('keeps the plan it was led by, whatever becomes of the sequence', async () => {
    const id = uuid();
    await begin(id);
    await coach.ask('PUT', `/sequences/${ids.sequenceId}`, { ...SEQUENCE, blocks: [] }, { 'if-match': '"1"' });
    expect((await read(id)).plan).toEqual(SEQUENCE);
  });

  test('a later report of a block takes the place of the earlier one', async () => {
    const id = uuid();
    await begin(id);
    await report(id, { discomfort: 6, at: '2026-05-04T08:03:00.000Z' });
    await report(id, { discomfort: 1, at: '2026-05-04T08:04:00.000Z' });
    expect(await read(id)).toMatchObject({ maxDiscomfort: 1 });
  });

  test('what hurts in the middle is kept with hand and place, and counts as the most', async () => {
    const id = uuid();
    await begin(id);
    await report(id, { discomfort: 1 });
    const complaint = {
      blockId: 'b1',
      hand: 'left',
      place: 'wrist-back',
      discomfort: 6,
      at: '2026-05-04T08:02:30.000Z',
    };
    const path = `/sessions/${id}/complaints/${uuid()}`;
    for (let time = 0; time < 2; time++) expect((await coach.ask('PUT', path, complaint)).status).toBe(204);
    expect(await read(id)).toMatchObject({ maxDiscomfort: 6, complaints: [complaint] });
    expect((await coach.ask('PUT', path, { ...complaint, discomfort: 2 })).status).toBe(409);
    const wrong = { ...complaint, blockId: 'other', place: 'knee', discomfort: 11 };
    const refused = await coach.ask('PUT', `/sessions/${id}/complaints/${uuid()}`, wrong);
    expect(pointers(refused.body)).toEqual(['/place', '/discomfort']);
  });

  test('a block that was held against a gauge keeps how much of the time its effort was kept', async () => {
    const id = uuid();
    await begin(id);
    await report(id, { bandPercent: 82 });
    expect((await read(id)).reports).toMatchObject([{ blockId: 'b1', bandPercent: 82 }]);
    const wrong = await coach.ask('PUT', `/sessions/${id}/reports/${uuid()}`, { ...REPORT, bandPercent: 130 });
    expect([wrong.status, pointers(wrong.body)]).toEqual([422, ['/bandPercent']]);
  });

  test('the morning after is its own answer with a score for each hand, beside the one before', async () => {
    const tell = (id: string, at: string, change = {}) =>
      coach.ask<Problem>('PUT', `/sessions/${id}/morning`, { left: 1, right: 0, at, ...change });
    const [first, second] = [uuid(), uuid()];
    const own = await furnish(coach);
    await begin(first, own);
    expect((await tell(first, '2026-05-05T07:00:00.000Z')).status).toBe(422);
    await end(first);
    expect((await tell(first, '2026-05-04T07:00:00.000Z')).status).toBe(422);
    expect((await tell(first, '2026-05-05T07:00:00.000Z')).status).toBe(204);
    // What was told later stands, whatever arrives first.
    await tell(first, '2026-05-05T06:00:00.000Z', { left: 9 });
    expect(await read(first)).toMatchObject({ morning: { left: 1, right: 0 }, morningBefore: null });
    await begin(second, { ...own, startedAt: '2026-05-06T08:00:00.000Z' });
    await end(second, { endedAt: '2026-05-06T08:10:00.000Z' });
    await tell(second, '2026-05-07T07:00:00.000Z', { left: 3 });
    expect(await read(second)).toMatchObject({ morning: { left: 3 }, morningBefore: { left: 1, right: 0 } });
    const wrong = await tell(second, '2026-05-08T07:00:00.000Z', { left: 11, numb: 'thumb' });
    expect(pointers(wrong.body)).toEqual(['/left', '/numb']);
    // Numbness bars the hand like a stop, until somebody has cleared it.
    await tell(second, '2026-05-08T07:00:00.000Z', { left: 0, numb: 'left' });
    const { body } = await coach.ask<Athlete>('GET', `/athletes/${own.athleteId}`);
    expect(body.cautions).toMatchObject([{ caution: 'stop-sign', hand: 'left', stopped: { sessionId: second, sign: 'numbness' } }]);
  });

  test('how hard it was may stay untold of a block, and be told of the whole', async () => {
    const id = uuid();
    await begin(id);
    await report(id, { exertion: null });
    expect(await read(id)).toMatchObject({ exertion: null, reports: [{ discomfort: 2, exertion: null }] });
    await report(id, { exertion: 5, at: '2026-05-04T08:04:00.000Z' });
    expect(await read(id)).toMatchObject({ exertion: 5 });
    await end(id, { exertion: 7 });
    expect(await read(id)).toMatchObject({ exertion: 7 });
    await end(id);
    await report(id, { exertion: 3, at: '2026-05-04T08:06:00.000Z' });
    expect(await read(id)).toMatchObject({ exertion: 7 });
  });

  test('a stop keeps its sign, and cannot be turned into something milder', async () => {
    const id = uuid();
    await begin(id);
    expect((await end(id, { ending: 'stopped', stopSign: 'numbness' })).status).toBe(200);
    expect((await end(id)).status).toBe(409);
    expect(await read(id)).toMatchObject({ ending: 'stopped', stopSign: 'numbness' });
  });

  test('a stop that another device sends later is not lost', async () => {
    const id = uuid();
    await begin(id);
    expect((await end(id)).status).toBe(200);
    expect((await end(id, { ending: 'stopped', stopSign: 'pop' })).status).toBe(200);
    expect(await read(id)).toMatchObject({ ending: 'stopped', stopSign: 'pop' });
  });

  test('of a stop and an end at the same moment the stop stands, whichever comes first', async () => {
    for (let time = 0; time < 6; time++) {
      const id = uuid();
      await begin(id);
      const stop = () => end(id, { ending: 'stopped', stopSign: 'numbness' });
      const both = time % 2 ? [stop(), end(id)] : [end(id), stop()];
      for (const { status } of await Promise.all(both)) expect([200, 409]).toContain(status);
      expect(await read(id)).toMatchObject({ ending: 'stopped', stopSign: 'numbness' });
    }
  });

  test('its end sent again keeps the note, and adds one that came late', async () => {
    const [reported, late] = [uuid(), uuid()];
    await begin(reported);
    await end(reported, { note: 'Right hand let go.' });
    expect((await end(reported)).status).toBe(200);
    expect((await read(reported)).note).toBe('Right hand let go.');
    await begin(late);
    await end(late);
    await end(late, { note: 'Said at home.' });
    expect((await read(late)).note).toBe('Said at home.');
  });

  test('sets that are sent all at once are all counted', async () => {
    const id = uuid();
    await begin(id);
    await Promise.all([addSet(id, uuid()), addSet(id, uuid(), { side: 'right' }), report(id, { exertion: 7 })]);
    expect(await read(id)).toMatchObject({ completion: 2 / 3, exertion: 7 });
  });
});

describe('a session begun against a rule of safety', () => {
  test('is recorded and flagged with the rule that it broke', async () => {
    const athleteId = uuid();
    await coach.ask('PUT', `/athletes/${athleteId}`, { ...ATHLETE, cautions: [{ caution: 'numbness' }] });
    const id = uuid();
    const begun = await begin(id, { athleteId });
    expect(begun.status).toBe(200);
    expect(begun.body.begunAgainst).toEqual([expect.stringMatching(/numb|tingl/i)]);
    const { items } = (await coach.ask<SessionPage>('GET', `/sessions?athlete=${athleteId}`)).body;
    expect(items.map(({ begunAgainst }) => begunAgainst.length)).toEqual([1]);
    const cleared = uuid();
    await coach.ask('PUT', `/athletes/${cleared}`, ATHLETE);
    expect((await begin(uuid(), { athleteId: cleared })).body.begunAgainst).toEqual([]);
  });
});

test('records are searched by words of sequence and athlete, and narrowed to those that hurt, were not finished, or broke a rule', async () => {
  const other = await house.coach('searching');
  const own = await furnish(other);
  const lead = async (plan: object, ending: string, discomfort: number, athleteId = own.athleteId) => {
    const id = uuid();
    const at = '2026-05-04T08:10:00.000Z';
    await other.ask('PUT', `/sessions/${id}`, { ...own, athleteId, plan: { ...SEQUENCE, ...plan }, startedAt: '2026-05-04T08:00:00.000Z' });
    await other.ask('PUT', `/sessions/${id}/reports/${uuid()}`, { blockId: 'b1', discomfort, exertion: 5, note: '', at });
    await other.ask('PUT', `/sessions/${id}/end`, { ending, note: '', endedAt: at });
    return id;
  };
  const numb = uuid();
  await other.ask('PUT', `/athletes/${numb}`, { ...ATHLETE, name: 'Nell 100% Sore', cautions: [{ caution: 'numbness' }] });
  // Three of ten is too much for a method that allows none, and little for one that allows mild discomfort.
  const strict = await lead({ title: 'Evening palms', methodId: 'careful-return' }, 'completed', 3);
  const mild = await lead({ title: 'Morning palms', methodId: 'floor-loading' }, 'ended early', 3);
  const sore = await lead({ title: 'Morning grip', methodId: 'floor-loading' }, 'completed', 6);
  const barred = await lead({ title: 'Numb one' }, 'completed', 0, numb);
  const found = async (query: string) =>
    (await other.ask<SessionPage>('GET', `/sessions?${query}`)).body.items.map(({ id }) => id).toSorted();
  expect(await found('only=hurt')).toEqual([strict, sore].toSorted());
  expect(await found('only=unfinished')).toEqual([mild]);
  expect(await found('only=despite-rule')).toEqual([barred]);
  expect(await found('find=palms')).toEqual([strict, mild].toSorted());
  expect(await found('find=palms%20morning')).toEqual([mild]);
  expect(await found(`find=nell`)).toEqual([barred]);
  // A percent sign is a letter, not "anything".
  expect(await found(`find=${encodeURIComponent('0%')}`)).toEqual([barred]);
  expect((await other.ask('GET', '/sessions?only=nonsense')).status).toBe(422);
});

test('a discomfort weighs by the method that the session was led by, on Today too', async () => {
  const other = await house.coach('careful');
  const now = Date.now();
  const [startedAt, at] = [new Date(now - 3_600_000).toISOString(), new Date(now - 3_000_000).toISOString()];
  for (const [methodId, kind] of [
    ['careful-return', 'hold'],
    ['floor-loading', null],
  ] as const) {
    const own = await furnish(other);
    const id = uuid();
    const plan = { ...SEQUENCE, methodId };
    await other.ask('PUT', `/sessions/${id}`, { ...own, plan, startedAt });
    await other.ask('PUT', `/sessions/${id}/reports/${uuid()}`, {
      ...{ blockId: 'b1', discomfort: 2, exertion: 5, note: '', at },
    });
    await other.ask('PUT', `/sessions/${id}/end`, { ending: 'completed', note: '', endedAt: at });
    const suggestions = await allSuggestions(other);
    expect(suggestions.find(({ athleteId }) => athleteId === own.athleteId)?.kind ?? null).toBe(kind);
  }
});

describe('what is refused', () => {
  test.each<[string, () => Promise<{ status: number; body: never }>, number, string]>([
    ['an amount below nothing', () => on((id) => addSet(id, uuid(), { doneAmount: -1 })), 422, '/doneAmount'],
    ['a block that the plan does not have', () => on((id) => addSet(id, uuid(), { blockId: 'b9' })), 422, '/blockId'],
    ['a level that the movement does not have', () => on((id) => addSet(id, uuid(), { levelId: 'b9' })), 422, '/levelId'],
    ['a correction of nothing', () => on((id) => addSet(id, uuid(), { corrects: uuid() })), 422, '/corrects'],
    ['a discomfort of eleven', () => on((id) => report(id, { discomfort: 11 })), 422, '/discomfort'],
    ['a stop without its sign', () => on((id) => end(id, { ending: 'stopped' })), 422, '/stopSign'],
    ['a sign without a stop', () => on((id) => end(id, { stopSign: 'pop' })), 422, '/stopSign'],
    ['an end before the start', () => on((id) => end(id, { endedAt: '2026-05-04T07:00:00.000Z' })), 422, '/endedAt'],
    ['a plan that cannot be led', () => begin(uuid(), { plan: { ...SEQUENCE, budgetMin: 0 } }) as never, 422, '/plan/budgetMin'],
    ['an athlete nobody knows', () => begin(uuid(), { athleteId: uuid() }) as never, 404, ''],
  ])('%s', async (_what, ask, status, pointer) => {
    const answer = await ask();
    expect(answer.status).toBe(status);
    if (pointer) expect(pointers(answer.body)).toEqual([pointer]);
  });

  async function on(ask: (id: string) => Promise<unknown>): Promise<{ status: number; body: never }> {
    const id = uuid();
    await begin(id);
    return ask(id) as never;
  }
});

test('two years of sessions are read page by page, newest first, none lost, none twice', async () => {
  const other = await house.coach('two-years');
  const own = await furnish(other);
  // Every third begins at the same instant as the one before it: pages must not lose those.
  const instants = Array.from({ length: 310 }, (_, index) => index - (index % 3 === 2 ? 1 : 0));
  const days = instants.map((step) => new Date(Date.UTC(2024, 4, 1) + step * 56 * 3600 * 1000));
  const ended = [];
  for (const day of days) {
    const id = uuid();
    await other.ask('PUT', `/sessions/${id}`, { ...own, plan: SEQUENCE, startedAt: day.toISOString() });
    ended.push(id);
  }
  const seen: string[] = [];
  let before: string | null = '';
  while (before !== null) {
    const query: string = before ? `&before=${encodeURIComponent(before)}` : '';
    const page: SessionPage = (await other.ask<SessionPage>('GET', `/sessions?athlete=${own.athleteId}&limit=100${query}`)).body;
    seen.push(...page.items.map((item) => item.id));
    before = page.nextBefore;
  }
  expect(seen).toEqual(ended.reverse());
  expect((await other.ask('GET', '/sessions?limit=0')).status).toBe(422);
  expect((await other.ask('GET', '/sessions?before=yesterday')).status).toBe(422);
}, 60_000);
