import { expect, test } from '@jest/globals';
import { parseDose, printDose } from '../../model/dose-shorthand.js';
import { grownInRange } from './in-range.js';
import type { Step } from './level-standing.js';
import type { HandStanding } from './progressed.js';

const METHOD = { effortStepPercent: 5 };
const stands = (unit: 'repetitions' | 'seconds', amount: number, step: Step = { kind: 'level up', levelId: 'next' }): HandStanding => ({
  movementId: 'any',
  levelId: 'this',
  step,
  last: { unit, sets: 2, amount, effortPercent: 30 },
});
const grown = (dose: string, ...standings: HandStanding[]) => {
  const found = grownInRange(parseDose(dose), standings, METHOD);
  return found && printDose(found);
};

test.each([
  // Inside the range before anything else, even where the level’s gate is passed.
  ['3x8-12', 8, '3x9-12'],
  ['3x8-12', 10, '3x11-12'],
  ['3x8-12', 12, '3x12'],
  ['3x12', 12, null],
])('%s after %d repetitions: %s', (dose, amount, next) => expect(grown(dose, stands('repetitions', amount))).toBe(next));

test('seconds go toward the goal, by as much as the weaker hand did', () => {
  expect(grown('2x15s goal30s L,R', stands('seconds', 20), stands('seconds', 15))).toBe('2x20s goal30s L,R');
  expect(grown('2x30s goal30s', stands('seconds', 30))).toBeNull();
});

test('effort grows inside its own range once the amount is there', () => {
  expect(grown('1x10 @30-40%', stands('repetitions', 10))).toBe('1x10 @35-40%');
  expect(grown('1x10 @35-40%', stands('repetitions', 10))).toBe('1x10 @40%');
  expect(grown('1x10 @40%', stands('repetitions', 10))).toBeNull();
});

test('each hand keeps its share', () => {
  expect(grown('1x30s R45s goal60s L,R', stands('seconds', 30))).toBe('1x35s R50s goal60s L,R');
});

test('where a hand is to do less, or nothing may grow, the range does not either', () => {
  expect(grown('3x8-12', stands('repetitions', 8), stands('repetitions', 8, { kind: 'ease' }))).toBeNull();
  expect(grown('3x8-12', stands('repetitions', 8, { kind: 'hold' }))).toBeNull();
});
