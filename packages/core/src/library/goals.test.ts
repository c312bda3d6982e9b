import { expect, test } from '@jest/globals';
import { candidatesFor } from '../compose/candidates.js';
import { composeFor } from '../compose/composing.fixture.js';
import { composingOf } from '../compose/question.js';
import { TRAINING_GOALS } from './goals.js';

test('goals are told apart', () => {
  expect(new Set(TRAINING_GOALS.map(({ id }) => id)).size).toBe(TRAINING_GOALS.length);
  expect(new Set(TRAINING_GOALS.map(({ name }) => name)).size).toBe(TRAINING_GOALS.length);
});

test.each(TRAINING_GOALS.map(({ id }) => id))('there are two movements at least for everything that %s wants', (id) => {
  const composing = composingOf(composeFor(id, 'floor-loading'));
  const { candidates } = candidatesFor(composing);
  const few = composing.goal.wants.filter(
    (_, want) => new Set(candidates.filter(({ gives }) => gives[want]! > 0).map(({ movement }) => movement.id)).size < 2,
  );
  expect(few.map(({ words }) => words)).toEqual([]);
});
