import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import type { Athlete } from '@clay-pot/contracts';
import { healthOf, type Intake, screen } from '@clay-pot/core';
import { queryClient } from '../api/queries.js';
import { answer, beginIntake, dropIntake, goToStep, keepIntake, useIntakeDrafts } from './intake-drafts.js';
import { useOutbox } from './outbox.js';
import { useOwnStops } from './own-stops.js';

const ATHLETE: Athlete = {
  id: 'a1',
  etag: '"1"',
  name: 'Somebody',
  practice: 'Ropes',
  birthDate: '1990-01-01',
  sex: 'female',
  dominantHand: 'left',
  statureCm: 170,
  massKg: 60,
  equipment: ['mat'],
  cautions: [{ caution: 'hypermobility' }],
  notes: '',
};
const draft = () => useIntakeDrafts.getState().drafts['a1'];

// What is shown is kept for a working day; here it would keep the run from ending.
afterEach(() => queryClient.clear());
beforeEach(() => {
  globalThis.fetch = jest.fn<typeof fetch>().mockRejectedValue(new TypeError('no network'));
  useOutbox.setState({ messages: [], refused: [] });
  useOwnStops.setState({ stops: [] });
  dropIntake('a1');
});

describe('answers that are not recorded yet', () => {
  test('begin with the record and with what was said before, without what was felt then', () => {
    const last = {
      goals: ['grip'],
      minutes: 20,
      history: [{ condition: 'tendon', hand: 'left' }],
      symptoms: [{ place: 'heel', hand: 'left', kind: 'ache' }],
    } as unknown as Intake;
    beginIntake(ATHLETE, last);
    expect(draft()!.answers).toMatchObject({ goals: ['grip'], minutes: 20, discipline: 'Ropes' });
    // Of the person nothing is said yet: a draft that lies for days must not put an old record back.
    expect(draft()!.answers.person).toEqual({});
    expect(draft()!.answers.history).toEqual(last.history);
    expect(draft()!.answers.symptoms).toBeUndefined();
  });

  test('go on where they were left', () => {
    beginIntake(ATHLETE, null);
    answer('a1', { minutes: 25 });
    goToStep('a1', 4);
    const before = draft();
    beginIntake(ATHLETE, null);
    expect(draft()).toBe(before);
  });

  test('are recorded without a network: on their way, in the record as it is shown, and a stop stands at once', () => {
    beginIntake(ATHLETE, null);
    const { id } = draft()!;
    answer('a1', { signs: [{ sign: 'pop', hand: 'right' }] });
    const { answers } = draft()!;
    keepIntake(ATHLETE, screen(healthOf(answers), { onDay: answers.onDay, ageYears: 36, intakeId: id }), null);
    expect(useOutbox.getState().messages.map(({ path }) => path)).toEqual([`/athletes/a1/intakes/${id}`]);
    const shown = queryClient.getQueryData<Athlete>(['athletes', 'a1'])!;
    expect(shown.cautions.map(({ caution }) => caution)).toEqual(['hypermobility', 'stop-sign']);
    expect(useOwnStops.getState().stops).toMatchObject([{ athleteId: 'a1', caution: { stopped: { intakeId: id, sign: 'pop' } } }]);
    expect(draft()).toBeUndefined();
  });

  test('of today that another device answered meanwhile overrule nothing of it, but lose no referral', () => {
    beginIntake(ATHLETE, null);
    const { id } = draft()!;
    answer('a1', { discipline: 'Rope', signs: [{ sign: 'dropping-things', hand: 'left' }] });
    const { answers } = draft()!;
    const newest = { id: 'ffffffff-ffff-7fff-bfff-ffffffffffff', answers: { ...answers, discipline: 'Juggling' } };
    keepIntake(ATHLETE, screen(healthOf(answers), { onDay: answers.onDay, ageYears: 36, intakeId: id }), newest);
    const shown = queryClient.getQueryData<Athlete>(['athletes', 'a1'])!;
    expect(shown.practice).toBe(ATHLETE.practice);
    expect(shown.cautions.map(({ caution }) => caution)).toContain('dropping-things');
  });
});
