import { describe, expect, test } from '@jest/globals';
import { checkSequence, faultsOf, type Sequence, USUAL_PACING, USUAL_POSTURES } from '@clay-pot/core';
import { LIBRARY, METHODS, shippedMovement } from '@clay-pot/core/library';
import {
  ASSIGNMENT_INPUT,
  checkPostureInput,
  EFFORT_QUESTION,
  METHOD_INPUT,
  MOVEMENT_INPUT,
  POSTURE_QUESTION,
  SEQUENCE_FILE_INPUT,
  SEQUENCE_INPUT,
  SIGN_IN,
  SOLVE_QUESTION,
} from '@clay-pot/contracts';

const pointersOf = (schema: Parameters<typeof faultsOf>[0], value: unknown) =>
  faultsOf(schema, value).map(({ pointer }) => pointer);
const ID = '01890a5d-ac96-774b-bcce-b302099a8057';
const sequenceOf = (movement: (typeof LIBRARY)[number]): Sequence => ({
  title: movement.name,
  purpose: '',
  budgetMin: 20,
  pacing: USUAL_PACING,
  blocks: movement.ladder.map(({ id, dose }) => ({
    id,
    phase: 'load',
    movementId: movement.id,
    levelId: id,
    dose,
  })),
});

describe('what a request may hold', () => {
  test('every shipped movement and method could be sent as a studio’s own, and stand in a sequence', () => {
    for (const movement of LIBRARY) {
      const { id: _id, ...input } = movement;
      expect([movement.id, faultsOf(MOVEMENT_INPUT, input)]).toEqual([movement.id, []]);
      const sequence = sequenceOf(movement);
      expect(faultsOf(SEQUENCE_INPUT, sequence)).toEqual([]);
      expect(checkSequence(sequence, shippedMovement)).toEqual([]);
    }
    for (const { id: _id, ...input } of Object.values(METHODS)) expect(faultsOf(METHOD_INPUT, input)).toEqual([]);
  });

  test.each<[string, object, string[]]>([
    ['no weekday', { weekdays: [] }, ['/weekdays']],
    ['an eighth weekday', { weekdays: [8] }, ['/weekdays/0']],
    ['a weekday twice', { weekdays: [1, 1] }, ['/weekdays']],
    ['a month that is none', { fromDay: '2026-13-01' }, ['/fromDay']],
    ['a day that February has not', { fromDay: '2026-02-31' }, ['/fromDay']],
    ['the year nought', { fromDay: '0000-01-01' }, ['/fromDay']],
    ['the year 9999', { fromDay: '9999-01-01' }, ['/fromDay']],
    ['an id that is none', { athleteId: 'me' }, ['/athleteId']],
    ['nothing wrong', {}, []],
  ])('an assignment with %s', (_what, change, pointers) => {
    const sound = { sequenceId: ID, athleteId: ID, weekdays: [1, 3], fromDay: '2026-01-31' };
    expect(pointersOf(ASSIGNMENT_INPUT, { ...sound, ...change })).toEqual(pointers);
  });

  test.each<[unknown, string[]]>([
    [{ email: 'coach@hall.example', password: 'x' }, []],
    [{ email: 'coach', password: 'x' }, ['/email']],
    [{ email: 'co\uD800ach@hall.example', password: 'x' }, ['/email']],
    [{ email: 'coach@hall.example', password: '' }, ['/password']],
    [null, ['']],
    [[], ['']],
  ])('a sign-in of %j', (value, pointers) => expect(pointersOf(SIGN_IN, value)).toEqual(pointers));

  test('a posture starts from a usual one or from a support; every usual one can be asked for', () => {
    for (const from of Object.keys(USUAL_POSTURES)) {
      expect(pointersOf(POSTURE_QUESTION, { posture: { from } })).toEqual([]);
      const target = { quantity: 'effortPercent', value: 40, hand: 'left' };
      expect(pointersOf(SOLVE_QUESTION, { posture: { from }, vary: 'leanDeg', target })).toEqual([]);
    }
    expect(checkPostureInput({ support: 'toes', leanDeg: 'square' })).toEqual([]);
    expect(checkPostureInput({ leanDeg: 5 }).map(({ pointer }) => pointer)).toEqual(['/from']);
    const wrong = { posture: { from: 'plank', leanDeg: 'skewed' }, body: { statureM: 17 } };
    expect(pointersOf(POSTURE_QUESTION, wrong).sort()).toEqual(['/body/statureM', '/posture/leanDeg']);
  });

  test('a question of effort needs a sequence; a file needs its text', () => {
    expect(pointersOf(EFFORT_QUESTION, { at: '2026-05-31T08:30:00.000Z' })).toEqual(['/sequence']);
    expect(pointersOf(EFFORT_QUESTION, { sequence: sequenceOf(LIBRARY[0]!), at: '2026-13-31T08:30:00.000Z' })).toEqual([
      '/at',
    ]);
    expect(pointersOf(SEQUENCE_FILE_INPUT, { id: ID, text: '' })).toEqual(['/text']);
  });
});
