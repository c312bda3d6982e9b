import { expect, test } from '@jest/globals';
import type { PastSession } from '../effort/past.js';
import { shippedMovement } from '../library/index.js';
import { session } from '../rules/checks/sessions.fixture.js';
import { addDays } from '../vocabulary/days.js';
import { itemAt, must } from '../vocabulary/lists.js';
import { firstDay, sixWeeks, type SixWeeksQuestion } from './six-weeks.js';

const TODAY = '2026-06-10';
const support = must(shippedMovement('bearing.palm-support'), 'palm support');
const level = (index: number) => itemAt(support.ladder, index);
const done = (daysAgo: number, dose: number, levelIndex: number): PastSession => ({
  ...session(addDays(TODAY, -daysAgo)),
  doses: { 'left wrist flexors': dose },
  forms: [{ movementId: support.id, levelId: level(levelIndex).id }],
});
const question = (more: Partial<SixWeeksQuestion> = {}): SixWeeksQuestion => ({
  past: [],
  felt: [],
  readings: [],
  cautions: [],
  lookup: shippedMovement,
  today: TODAY,
  ...more,
});

test('six whole weeks end today: the first half beside the last, whatever weekday it is', () => {
  expect(firstDay(TODAY)).toBe('2026-04-30');
  const days = [41, 34, 22, 20, 10, 3, 0];
  const felt = [...days, 60].map((ago) => ({ onDay: addDays(TODAY, -ago), maxDiscomfort: ago > 20 ? 1 : ago === 3 ? 5 : null }));
  const { sessions, load, discomfort } = sixWeeks(question({ past: [...days, 60].map((ago) => done(ago, 3, 0)), felt }));
  expect(sessions).toEqual([1, 1, 1, 1, 1, 2]);
  expect(load).toEqual({ first: 3, last: 4 });
  expect(discomfort).toEqual({ first: 1, last: 5, sore: 1 });
});

test('levels that are other ones now, and restrictions that began or were cleared', () => {
  const answer = sixWeeks(
    question({
      past: [done(70, 1, 3), done(40, 1, 0), done(20, 1, 1), done(2, 1, 2)],
      cautions: [
        { caution: 'arthritis', hand: 'left', since: addDays(TODAY, -10) },
        { caution: 'numbness', hand: 'right', since: '2026-01-02', clearedOn: addDays(TODAY, -5), clearedBy: 'Dr Varga' },
      ],
    }),
  );
  expect(answer.levels).toEqual([{ movementId: support.id, from: level(0).name, to: level(2).name, by: 2 }]);
  expect(answer.restrictions.begun).toHaveLength(1);
  expect(answer.restrictions.cleared).toHaveLength(1);
});

test('tests are compared with the first of them, and a change is real only beyond its error', () => {
  const grip = (ago: number, value: number, hand: 'left' | 'right') => ({
    ...{ kind: 'maximum' as const, of: 'grip', hand, value },
    onDay: addDays(TODAY, -ago),
  });
  const { tests } = sixWeeks(
    question({
      readings: [grip(45, 300, 'left'), grip(3, 380, 'left'), grip(30, 300, 'right'), grip(2, 310, 'right'), grip(90, 100, 'left')],
    }),
  );
  expect(tests.map(({ hand, before, after, isReal }) => [hand, before.value, after.value, isReal])).toEqual([
    ['left', 300, 380, true],
    ['right', 300, 310, false],
  ]);
});
