import { beforeAll, beforeEach, describe, expect, test } from '@jest/globals';
import type { PostureAnswer } from '@clay-pot/contracts';
import type { Evidence, Reading } from '@clay-pot/core';
import { v7 as uuid } from 'uuid';
import { ATHLETE, type Browser, House } from './house.js';

let house: House;
let coach: Browser;
let athleteId: string;
beforeAll(async () => {
  house = await House.open('evidence', { now: () => new Date('2026-06-10T10:00:00.000Z') });
  coach = await house.coach('juno');
});
beforeEach(async () => {
  athleteId = uuid();
  await coach.ask('PUT', `/athletes/${athleteId}`, ATHLETE);
});
const add = (kind: Reading['kind'], of: string, value: number, more: Partial<Reading> = {}) =>
  coach.ask('PUT', `/athletes/${athleteId}/readings/${uuid()}`, { kind, of, hand: 'left', value, onDay: '2026-06-01', ...more });
const evidence = async () => (await coach.ask<Evidence[]>('GET', `/athletes/${athleteId}/evidence`)).body;

describe('what holds and tests tell', () => {
  test('stands as evidence of the maxima that efforts are computed from, with what was seen', async () => {
    await add('hold', 'hang', 70);
    await add('critical force', 'grip', 160);
    await add('repetitions', 'palm lift', 9);
    expect(await evidence()).toEqual(
      expect.arrayContaining([
        expect.objectContaining({ kind: 'to failure', action: 'grip', what: 'all-out test', value: 400 }),
        expect.objectContaining({ kind: 'to failure', action: 'grip', what: 'Bar hang, held 70 s to the end' }),
        expect.objectContaining({ action: 'wrist flexion', what: expect.stringContaining('9 clean repetitions') }),
      ]),
    );
  });

  test('moves the effort of a posture, by record and by what a question says itself', async () => {
    const posture = { posture: { from: 'plank', contact: 'raised palm' } };
    const ask = async (question: object) => {
      const { status, body } = await coach.ask<PostureAnswer>('POST', '/mechanics/posture', question);
      expect(status).toBe(200);
      return body;
    };
    const effortOf = ({ left }: PostureAnswer) => left.efforts.find(({ action }) => action === 'wrist flexion')!;
    const before = effortOf(await ask({ ...posture, athleteId }));
    const strong = [{ kind: 'repetitions', of: 'palm lift', hand: 'left', value: 60 }];
    const reports = effortOf(await ask({ ...posture, athleteId, measured: strong }));
    expect(reports.effortPercent).toBeLessThan(before.effortPercent);
    await add('repetitions', 'palm lift', 60);
    const recorded = effortOf(await ask({ ...posture, athleteId }));
    expect(recorded.effortPercent).toBeLessThan(before.effortPercent);
  });

  test('what was measured after a session’s work tells nothing of the hand as it comes', async () => {
    await add('maximum', 'grip', 500, { sessionId: uuid(), moment: 'after', isSure: true });
    await add('passive range', 'wrist extension', 100, { sessionId: uuid(), moment: 'after' });
    const { body } = await coach.ask<PostureAnswer>('POST', '/mechanics/posture', { athleteId, posture: { from: 'allFours' } });
    expect(JSON.stringify(body)).not.toContain('measured on 2026-06-01');
    const half = await add('maximum', 'grip', 300, { sessionId: uuid() });
    expect(half.status).toBe(422);
  });
});
