import { expect, test } from '@jest/globals';
import { TRAINING_GOALS } from './goals.js';
import { methodFor } from './method-for.js';

test('the method follows the goal, and is the careful one while a hand hurts or is not cleared', () => {
  expect(methodFor('handstand-load', []).id).toBe('floor-loading');
  expect(methodFor('edge-strength', [{ caution: 'under-18' }]).id).toBe('grip-and-iron');
  for (const { id } of TRAINING_GOALS) {
    expect(methodFor(id, [{ caution: 'sore-place' }]).id).toBe('careful-return');
    expect(methodFor(id, [{ caution: 'numbness' }]).id).toBe('careful-return');
    expect(methodFor(id, [{ caution: 'numbness', clearedOn: '2026-05-01' }])).toBe(methodFor(id, []));
  }
});
