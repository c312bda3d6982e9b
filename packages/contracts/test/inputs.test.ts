import { describe, expect, test } from '@jest/globals';
import { checkSequence, type Sequence, USUAL_PACING, USUAL_POSTURES } from '@clay-pot/core';
import { LIBRARY, METHODS, shippedMovement } from '@clay-pot/core/library';
import {
  AssignmentInput,
  BlockReportInput,
  SuggestionAnswerInput,
  EffortQuestion,
  faultsOfRequest,
  MethodInput,
  MovementInput,
  PictureConsent,
  PostureQuestion,
  SequenceFileInput,
  SequenceInput,
  SignInRequest,
  SolveQuestion,
  SwapQuestion,
} from '@clay-pot/contracts';

const pointersOf = (Request: new () => object, value: unknown) => faultsOfRequest(Request, value).map(({ pointer }) => pointer);
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
      expect([movement.id, faultsOfRequest(MovementInput, input)]).toEqual([movement.id, []]);
      const sequence = sequenceOf(movement);
      expect(faultsOfRequest(SequenceInput, sequence)).toEqual([]);
      expect(checkSequence(sequence, shippedMovement)).toEqual([]);
    }
    for (const { id: _id, ...input } of Object.values(METHODS)) expect(faultsOfRequest(MethodInput, input)).toEqual([]);
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
    expect(pointersOf(AssignmentInput, { ...sound, ...change })).toEqual(pointers);
  });

  test.each<[unknown, string[]]>([
    [{ email: 'coach@hall.example', password: 'x' }, []],
    [{ email: 'coach', password: 'x' }, ['/email']],
    [{ email: 'co\uD800ach@hall.example', password: 'x' }, ['/email']],
    [{ email: 'coach@hall.example', password: '' }, ['/password']],
    [null, ['']],
    [[], ['']],
  ])('a sign-in of %j', (value, pointers) => expect(pointersOf(SignInRequest, value)).toEqual(pointers));

  test('a posture starts from a usual one or from a support; every usual one can be asked for', () => {
    for (const from of Object.keys(USUAL_POSTURES)) {
      expect(pointersOf(PostureQuestion, { posture: { from } })).toEqual([]);
      const target = { quantity: 'effortPercent', value: 40, hand: 'left' };
      expect(pointersOf(SolveQuestion, { posture: { from }, vary: 'leanDeg', target })).toEqual([]);
    }
    expect(pointersOf(PostureQuestion, { posture: { support: 'toes', leanDeg: 'square' } })).toEqual([]);
    expect(pointersOf(PostureQuestion, { posture: { leanDeg: 5 } })).toEqual(['/posture/from']);
    const wrong = { posture: { from: 'plank', leanDeg: 'skewed' }, body: { statureM: 17 } };
    expect(pointersOf(PostureQuestion, wrong).sort()).toEqual(['/body/statureM', '/posture/leanDeg']);
  });

  test('a question of effort needs a sequence; a file needs its text', () => {
    expect(pointersOf(EffortQuestion, { at: '2026-05-31T08:30:00.000Z' })).toEqual(['/sequence']);
    expect(pointersOf(EffortQuestion, { sequence: sequenceOf(LIBRARY[0]!), at: '2026-13-31T08:30:00.000Z' })).toEqual(['/at']);
    expect(pointersOf(SequenceFileInput, { id: ID, text: '' })).toEqual(['/text']);
  });

  test('a fault is told in the words of the core, whichever validator found it', () => {
    expect(faultsOfRequest(SignInRequest, { email: 'coach', password: 'x'.repeat(201) })).toEqual([
      { pointer: '/email', message: 'must be an e-mail address', label: 'E-mail' },
      { pointer: '/password', message: 'must have at most 200 characters', label: 'Password' },
    ]);
    expect(faultsOfRequest(SignInRequest, { password: 'x', remember: true })).toEqual([
      { pointer: '/remember', message: 'is not a known field: remove it or check its spelling' },
      { pointer: '/email', message: 'is missing: it must be an e-mail address', label: 'E-mail' },
    ]);
  });

  test('what a column of the database cannot hold is no text, though class-validator’s length counts it short', () => {
    const answer = { key: 'k', evidenceKey: 'e', answer: 'declined', at: '2026-05-31T08:30:00.000Z' };
    expect(pointersOf(SuggestionAnswerInput, { ...answer, reason: '❤️'.repeat(200) })).toEqual([]);
    expect(pointersOf(SuggestionAnswerInput, { ...answer, reason: '❤️'.repeat(201) })).toEqual(['/reason']);
    expect(pointersOf(SuggestionAnswerInput, { ...answer, reason: 'a\uD800b' })).toEqual(['/reason']);
  });

  test('a name of one letter is too short, and is not called empty', () => {
    const messagesFor = (consentBy: string) =>
      faultsOfRequest(PictureConsent, { consentBy, consentOn: '2026-01-01' }).map(({ message }) => message);
    expect(['Wren', 'W', '  '].map(messagesFor)).toEqual([[], ['must have at least 2 characters'], ['must not be empty']]);
  });

  test('left out is one thing, null another; a document’s own optional fields too', () => {
    const answer = { key: 'k', evidenceKey: 'e', answer: 'declined', at: '2026-05-31T08:30:00.000Z' };
    expect(pointersOf(SuggestionAnswerInput, { ...answer, reason: null })).toEqual(['/reason']);
    expect(pointersOf(SuggestionAnswerInput, { ...answer, dose: { sets: 0 } })).toContain('/dose/sets');
    const report = { blockId: 'a', discomfort: 0, exertion: 3, note: '', at: '2026-05-31T08:30:00.000Z' };
    expect(pointersOf(BlockReportInput, report)).toEqual([]);
    expect(pointersOf(SwapQuestion, { goal: 'desk-hands', minutes: 10, blockId: 'b' })).toEqual(['/from']);
  });
});
