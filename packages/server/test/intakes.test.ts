import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type {
  Athlete,
  EffortSessionAnswer,
  IntakeSaved,
  PostureAnswer,
  Problem,
  ScreenAnswer,
  SolveAnswer,
  StoredIntake,
} from '@clay-pot/contracts';
import { type Intake, sentenceText } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { allSuggestions, ATHLETE, type Browser, furnish, House, pointers, sequenceOf, SEQUENCE } from './house.js';

const TODAY = '2026-06-10';
let house: House;
let coach: Browser;
let athleteId: string;
beforeAll(async () => {
  house = await House.open('intakes', { now: () => new Date(`${TODAY}T10:00:00.000Z`) });
  coach = await house.coach('juno');
  await furnish(coach);
});
beforeEach(async () => {
  athleteId = uuid();
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
});

const BLANK: Intake = {
  onDay: TODAY,
  goals: [],
  discipline: '',
  handHours: null,
  trainingYears: null,
  minutes: null,
  daysPerWeek: null,
  person: {},
};
const put = (answers: Partial<Intake>, id = uuid()) =>
  coach.ask<IntakeSaved & Problem>('PUT', `/athletes/${athleteId}/intakes/${id}`, { ...BLANK, ...answers });
const athlete = async () => (await coach.ask<Athlete>('GET', `/athletes/${athleteId}`)).body;
const list = async () => (await coach.ask<StoredIntake[]>('GET', `/athletes/${athleteId}/intakes`)).body;
const screened = async (question: object) => {
  const { status, body } = await coach.ask<ScreenAnswer & Problem>('POST', '/screen/verdict', question);
  return { ...body, status };
};

describe('answers', () => {
  test('are kept with their day, once, and put what follows and what they say of the person into the record', async () => {
    const id = uuid();
    const answers = {
      goals: ['floor-weight', 'ease'] as const,
      discipline: 'Stilts',
      minutes: 20,
      person: { dominantHand: 'right', massKg: 70, equipment: ['mat', 'wall'] } as const,
      symptoms: [{ place: 'wrist-back', hand: 'left', kind: 'ache', score: 5 }] as const,
    };
    const { status, body } = await put({ ...answers, goals: [...answers.goals] }, id);
    expect(status).toBe(200);
    expect(body.intake.verdict).toBe('adapt');
    expect(body.screening.hands).toEqual({ left: 'adapt', right: 'go' });
    const kept = await athlete();
    expect(kept).toMatchObject({
      practice: 'Stilts',
      dominantHand: 'right',
      massKg: 70,
      equipment: ['mat', 'wall'],
      statureCm: ATHLETE.statureCm,
    });
    expect(kept.cautions).toEqual([
      {
        caution: 'sore-place',
        hand: 'left',
        since: TODAY,
        intakeId: id,
        place: 'wrist-back',
        symptom: 'ache',
        score: 5,
      },
    ]);
    expect(body.athlete).toEqual(kept);
    // Sent twice from bad Wi-Fi is once; something else under the id is refused.
    const again = await put({ ...answers, goals: [...answers.goals] }, id);
    expect(again.status).toBe(200);
    expect((await athlete()).etag).toBe(kept.etag);
    expect((await put({ minutes: 30 }, id)).status).toBe(409);
    expect(await list()).toHaveLength(1);
  });

  test('of an earlier day that arrive late change nothing that later ones said, but lose no referral', async () => {
    await put({ discipline: 'Later' });
    await put({
      onDay: '2026-06-01',
      discipline: 'Earlier',
      signs: [{ sign: 'dropping-things', hand: 'left' }],
      symptoms: [{ place: 'heel', hand: 'left', kind: 'ache', score: 5 }],
    });
    const kept = await athlete();
    expect(kept.practice).toBe('Later');
    expect(kept.cautions.map(({ caution }) => caution)).toEqual(['dropping-things']);
    expect((await list()).map(({ answers }) => answers.onDay)).toEqual([TODAY, '2026-06-01']);
  });

  test('that cannot be are refused field by field, and nothing is stored', async () => {
    const answer = await put({
      onDay: '2026-06-11',
      person: { birthDate: '2030-01-01', statureCm: 500 },
      handHours: 30,
      symptoms: [{ place: 'nose', hand: 'left', kind: 'ache', score: 11 }] as never,
    });
    expect(answer.status).toBe(422);
    expect(pointers(answer.body).sort()).toEqual(['/handHours', '/person/statureCm', '/symptoms/0/place', '/symptoms/0/score']);
    expect(pointers((await put({ onDay: '2026-06-11', person: { birthDate: '2030-01-01' } })).body)).toEqual([
      '/onDay',
      '/person/birthDate',
    ]);
    expect(await list()).toEqual([]);
    expect((await athlete()).cautions).toEqual([]);
  });
});

describe('whoever is referred is kept from loading by every route', () => {
  const holds = sequenceOf('Holds', ['load', 'bearing.palm-support', 'all-fours']);
  const stops = async () => {
    const { body } = await coach.ask<EffortSessionAnswer>('POST', '/effort/session', { athleteId, sequence: holds });
    return body.findings.filter(({ severity }) => severity === 'stop').map(({ check }) => check);
  };
  const posture = async () =>
    (await coach.ask<PostureAnswer>('POST', '/mechanics/posture', { athleteId, posture: { from: 'allFours' } })).body;

  test('after tingling at night: checks, mechanics, Today, sessions and the shelf say so; a clearance opens them', async () => {
    expect(await stops()).toEqual([]);
    expect((await posture()).against).toEqual({ left: [], right: [] });
    await put({ signs: [{ sign: 'night-tingling', hand: 'right' }] });
    expect(await stops()).toContain('not-cleared');
    expect((await posture()).against.left).toEqual([]);
    expect((await posture()).against.right[0]).toContain('no loading until a doctor or hand therapist');
    const target = { quantity: 'loadPercentBW', value: 20, hand: 'right' };
    const solved = await coach.ask<SolveAnswer>('POST', '/mechanics/solve', {
      athleteId,
      posture: { from: 'allFours' },
      vary: 'distanceM',
      target,
    });
    expect(solved.body.answer.against.right).toHaveLength(1);
    expect((await allSuggestions(coach)).filter((suggestion) => suggestion.athleteId === athleteId).map(({ kind }) => kind)).toEqual([
      'refer',
    ]);
    const sequenceId = uuid();
    await coach.ask('PUT', `/sequences/${sequenceId}`, SEQUENCE);
    const begun = await coach.ask<{ begunAgainst: string[] }>('PUT', `/sessions/${uuid()}`, {
      athleteId,
      sequenceId,
      plan: holds,
      startedAt: `${TODAY}T09:00:00.000Z`,
    });
    expect(begun.body.begunAgainst[0]).toContain('no loading until a doctor or hand therapist');
    const shelf = (await screened({ athleteId })).movements;
    // One hand is free: what it can do by itself stays open; what has no unloaded level and no single hand says why.
    expect(shelf.find(({ movementId }) => movementId === 'free.wrist-circles')!.why).toBeNull();
    const { etag, id: _id, ...record } = await athlete();
    const cleared = record.cautions.map((entry) => ({
      ...entry,
      clearedOn: TODAY,
      clearedBy: 'Dr Example',
      clearedUntil: '2026-06-20',
      within: { extensionDeg: 60, until: '2026-06-20' },
    }));
    expect((await coach.ask('PUT', `/athletes/${athleteId}`, { ...record, cautions: cleared }, { 'if-match': etag })).status).toBe(200);
    // Cleared up to 60°: a flat palm asks for more, which is a stop of its own.
    expect(await stops()).toEqual(['caution-limit']);
    expect((await posture()).against.right.map((text) => sentenceText(text))[0]).toMatch(/of extension, limit 60°/);
  });

  test('signs that ask for help at once put the hand to rest, and cannot be taken out of the record', async () => {
    await put({ signs: [{ sign: 'thumb-hollow', hand: 'left' }] });
    const { etag, id: _id, ...record } = await athlete();
    expect(record.cautions[0]!.stopped).toMatchObject({ sign: 'thumb-hollow' });
    const free = sequenceOf('Free', ['prepare', 'free.wrist-circles', 'free-fist']);
    const { body } = await coach.ask<EffortSessionAnswer>('POST', '/effort/session', { athleteId, sequence: free });
    expect(body.findings.some(({ severity }) => severity === 'stop')).toBe(true);
    const taken = await coach.ask('PUT', `/athletes/${athleteId}`, { ...record, cautions: [] }, { 'if-match': etag });
    expect(taken.status).toBe(422);
    await put({});
    expect((await athlete()).cautions).toHaveLength(1);
  });
});

describe('the verdict by itself', () => {
  test('of nothing is go; nothing is stored; age comes from the record or from the question', async () => {
    expect(await screened({})).toMatchObject({ status: 200, verdict: 'go', reasons: [], whyItHurts: null });
    expect(await screened({ ageYears: 15 })).toMatchObject({ verdict: 'adapt', reasons: [{ from: 'age' }] });
    const sore = { symptoms: [{ place: 'ring-pip', hand: 'left', kind: 'ache' }] };
    expect((await screened({ ...sore, ageYears: 15 })).verdict).toBe('refer first');
    expect((await screened({ ...sore, athleteId })).verdict).toBe('adapt');
    expect(await list()).toEqual([]);
  });

  test('says what of the shelf is off', async () => {
    const screening = await screened({ history: [{ condition: 'fracture' }] });
    expect(screening.verdict).toBe('refer first');
    const open = (id: string) => screening.movements.find(({ movementId }) => movementId === id)!;
    expect(open('bearing.palm-support').openLevels).toEqual([]);
    expect(open('bearing.palm-support').why).toContain('no loading until the treating doctor or therapist clears it');
    expect(open('free.wrist-circles').openLevels.length).toBe(open('free.wrist-circles').ofLevels);
  });

  test('walks the path of why it hurts, and says which answers a question has', async () => {
    expect((await screened({ path: [] })).whyItHurts?.next?.id).toBe('when');
    expect((await screened({ path: ['late', 'no', 'no', 'yes', 'yes', 'yes'] })).whyItHurts?.remedy?.id).toBe('handles');
    const wrong = await screened({ path: ['late', 'perhaps'] });
    expect(wrong.status).toBe(422);
    expect(wrong.detail).toContain('with yes, no, not perhaps');
  });

  test('refuses what cannot be', async () => {
    const wrong = await screened({
      history: [{ condition: 'pregnancy', hand: 'left' }],
      signs: [{ sign: 'sneezing' }],
    });
    expect(wrong.status).toBe(422);
    expect(pointers(wrong)).toEqual(['/signs/0/sign']);
    expect(pointers(await screened({ history: [{ condition: 'fracture', since: '2026-07-01' }] }))).toEqual(['/history/0/since']);
    expect((await screened({ athleteId: uuid() })).status).toBe(404);
  });
});
