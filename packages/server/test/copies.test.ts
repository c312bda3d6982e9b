import { beforeAll, describe, expect, test } from '@jest/globals';
import type { CopyItem, CopyPreview, Problem, StoredProgramme, StoredSequence } from '@clay-pot/contracts';
import { type Programme, sentenceText } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, furnish, House, pointers, sequenceOf } from './house.js';

const sourceId = uuid();
const [free, barred, both] = [uuid(), uuid(), uuid()];
const copyId = uuid();
let coach: Browser;
let sequenceId: string;
const source = (): Programme => ({
  title: 'Toward the show',
  fromDay: '2026-06-08',
  weeks: [
    { kind: 'build', amountPercent: 80 },
    { kind: 'build', amountPercent: 100 },
  ],
  event: { day: '2026-06-20', name: 'Lantern show' },
  plans: [{ id: 'a', sequenceId }],
  sessions: ['2026-06-08', '2026-06-11', '2026-06-15', '2026-06-18'].map((day, index) => ({ id: `s${index + 1}`, day, planId: 'a' })),
});

beforeAll(async () => {
  const house = await House.open('copies', { now: () => new Date('2026-06-07T10:00:00Z') });
  coach = await house.coach('copies');
  const { athleteId } = await furnish(coach);
  sequenceId = uuid();
  const sequence = sequenceOf(
    'Grip',
    ['prepare', 'free.open-close', 'fast'],
    ['load', 'grip.ball-squeeze', 'soft'],
    ['skill', 'bearing.palm-support', 'all-fours'],
  );
  await coach.ask('PUT', `/sequences/${sequenceId}`, sequence);
  const numb = (hand: 'left' | 'right') => ({ caution: 'numbness', hand });
  const add = (id: string, name: string, cautions: unknown[]) =>
    coach.ask('PUT', `/athletes/${id}`, { ...ATHLETE, name, equipment: ['mat', 'soft ball'], cautions });
  await add(free, 'Ada Free', []);
  await add(barred, 'Ben Barred', [numb('left')]);
  await add(both, 'Cy Both', [numb('left'), numb('right')]);
  await coach.ask('PUT', `/programmes/${sourceId}`, { athleteId, document: source() });
});

const preview = (athleteId: string, weekdays?: number[]) =>
  coach.ask<CopyPreview>('POST', `/programmes/${sourceId}/copies/preview`, { copyId: uuid(), athleteId, ...(weekdays && { weekdays }) });
const texts = ({ differences }: CopyPreview) => differences.map((each) => sentenceText(each));
const copies = async () => (await coach.ask<CopyItem[]>('GET', `/programmes/${sourceId}/copies`)).body;

describe('a programme for somebody else', () => {
  test('has their limits and days, says every difference, and breaks none of its own rules', async () => {
    const { body } = await preview(barred, [2, 5, 6]);
    expect(body.athleteName).toBe('Ben Barred');
    expect(texts(body).join('\n')).toMatch(/Grip: .*(right|Palm support)/);
    expect(texts(body)).toContainEqual(expect.stringMatching(/^Trains on Tue( and Fri)? instead of Mon and Thu$/));
    expect(body.findings.filter(({ severity }) => severity === 'stop')).toEqual([]);
    expect(body.document.sessions.every(({ day }) => [2, 5, 6].includes(new Date(`${day}T12:00:00Z`).getUTCDay()))).toBe(true);
    expect(texts((await preview(free)).body).join('\n')).not.toMatch(/Trains on/);
  });

  test('of whom nothing is possible is refused by name, and so is a copy for its own athlete', async () => {
    const { athleteId } = (await coach.ask<StoredProgramme>('GET', `/programmes/${sourceId}`)).body;
    const overId = uuid();
    const past = { ...source(), fromDay: '2026-05-04', sessions: [{ id: 's1', day: '2026-05-05', planId: 'a' }] };
    const { event: _, ...over } = past;
    await coach.ask('PUT', `/programmes/${overId}`, { athleteId, document: over });
    const nothing = await coach.ask<Problem>('POST', `/programmes/${overId}/copies`, { copyId: uuid(), athleteId: both });
    expect([nothing.status, pointers(nothing.body)]).toEqual([422, ['/athleteId']]);
    expect(JSON.stringify(nothing.body)).toContain('Cy Both');
    expect((await preview(athleteId)).status).toBe(422);
  });

  test('is kept once, with sequences of their own', async () => {
    const make = () => coach.ask<StoredProgramme>('POST', `/programmes/${sourceId}/copies`, { copyId, athleteId: barred });
    const first = await make();
    expect(first.status).toBe(200);
    expect((await make()).body).toEqual(first.body);
    const [plan] = first.body.document.plans;
    const own = (await coach.ask<StoredSequence>('GET', `/sequences/${plan!.sequenceId}`)).body;
    expect([plan!.sequenceId === sequenceId, own.document.title]).toEqual([false, 'Grip, Ben Barred']);
    expect(await copies()).toMatchObject([{ id: copyId, athleteName: 'Ben Barred', isBehind: false }]);
  });

  test('is offered what changes in the source, takes it up over the version that was seen, or is left as it is', async () => {
    const before = (await coach.ask<StoredProgramme>('GET', `/programmes/${sourceId}`)).body;
    const moved = {
      ...before.document,
      sessions: before.document.sessions.map((each) => (each.id === 's2' ? { ...each, day: '2026-06-12' } : each)),
    };
    await coach.ask('PUT', `/programmes/${sourceId}`, { athleteId: before.athleteId, document: moved }, { 'if-match': before.etag });
    const [behind] = await copies();
    expect(behind!.isBehind).toBe(true);
    const input = { copyId, athleteId: barred };
    const offer = await coach.ask<CopyPreview>('POST', `/programmes/${sourceId}/copies/preview`, input);
    expect(texts(offer.body)).toEqual(['Session of 11 Jun 2026 moves to 12 Jun 2026']);
    const accept = (etag: string) => coach.ask<StoredProgramme>('POST', `/programmes/${sourceId}/copies`, input, { 'if-match': etag });
    expect((await accept('"7"')).status).toBe(412);
    const taken = await accept(behind!.etag);
    expect(taken.body.document.sessions.map(({ day }) => day)).toContain('2026-06-12');
    // The same sequence stays the same one.
    const planOf = ({ document }: StoredProgramme) => document.plans[0]!.sequenceId;
    expect(await copies()).toMatchObject([{ isBehind: false }]);
    const sequence = (await coach.ask<StoredSequence>('GET', `/sequences/${sequenceId}`)).body;
    const shorter = { ...sequence.document, blocks: sequence.document.blocks.filter((_, index) => index !== 1) };
    await coach.ask('PUT', `/sequences/${sequenceId}`, shorter, { 'if-match': sequence.etag });
    expect(await copies()).toMatchObject([{ isBehind: true }]);
    const shorterOffer = await coach.ask<CopyPreview>('POST', `/programmes/${sourceId}/copies/preview`, input);
    expect(texts(shorterOffer.body)).toEqual(expect.arrayContaining([expect.stringMatching(/^Grip, Ben Barred: .*Ball squeeze/)]));
    expect((await coach.ask('POST', `/programmes/${copyId}/keep`)).status).toBe(204);
    expect(await copies()).toMatchObject([{ isBehind: false }]);
    const asItWas = (await coach.ask<StoredProgramme>('GET', `/programmes/${copyId}`)).body;
    expect(planOf(asItWas)).toBe(planOf(taken.body));
    // Taken up after all, it changes the sequence that was made for the copy: what was done of it stays done.
    const shortened = await accept(asItWas.etag);
    expect(planOf(shortened.body)).toBe(planOf(taken.body));
    const now = (await coach.ask<StoredSequence>('GET', `/sequences/${planOf(taken.body)}`)).body;
    expect(now.document.title).toBe('Grip, Ben Barred');
    expect(now.document.blocks.map(({ movementId }) => movementId)).not.toContain('grip.ball-squeeze');
  });
});
