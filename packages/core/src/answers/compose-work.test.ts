import { expect, test } from '@jest/globals';
import { METHODS, TRAINING_GOALS } from '../library/index.js';
import { fullQuestion, type ComposeWork } from './compose-work.js';

const work: ComposeWork = {
  goalId: 'racket-arm',
  minutes: 20,
  method: METHODS['daily-range'],
  person: { body: { sex: 'female', statureM: 1.66, massKg: 63 }, ageYears: 36, evidence: [], today: '2026-11-01' },
  athlete: { cautions: [], equipment: ['mat', 'towel'] },
  past: [],
  now: '2026-11-01T10:05:00.000Z',
  own: [],
  removedIds: [],
};
const possibleIn = (more: Partial<ComposeWork> = {}) => fullQuestion({ ...work, ...more }).possible;

test('what is possible is found once for all that may be wanted of it', () => {
  const found = possibleIn();
  expect(possibleIn({ goalId: 'mixed-class', minutes: 8 })).toBe(found);
  expect(possibleIn({ now: '2026-11-01T10:59:00.000Z' })).toBe(found);
  expect(found?.possible.length).toBeGreaterThan(100);
});

test.each<[string, Partial<ComposeWork>]>([
  ['a caution', { athlete: { cautions: [{ caution: 'numbness', hand: 'left' }], equipment: ['mat', 'towel'] } }],
  ['things at hand', { athlete: { cautions: [], equipment: ['mat'] } }],
  ['another method', { method: METHODS['careful-return'] }],
  ['no floor', { notAt: ['floor'] }],
  ['a measured hand', { person: { ...work.person, rangeDeg: { left: { 'wrist extension': 50 }, right: {} } } }],
  ['a movement that is taken off the shelf', { removedIds: ['bearing.palm-support'] }],
  ['a goal that is trained for at a desk', { goalId: 'desk-hands' }],
])('%s finds it anew', (_, change) => {
  const found = possibleIn();
  const changed = possibleIn(change);
  expect(changed).not.toEqual(found);
  expect(possibleIn(change)).toBe(changed);
});

test('an hour later it is looked at anew; of many only the last few are remembered', () => {
  const found = possibleIn();
  expect(possibleIn({ now: '2026-11-01T11:00:00.000Z' })).not.toBe(found);
  for (const ageYears of [21, 22, 23]) possibleIn({ person: { ...work.person, ageYears } });
  const again = possibleIn();
  expect(again).not.toBe(found);
  expect(again).toEqual(found);
  expect(TRAINING_GOALS.some(({ id }) => id === work.goalId)).toBe(true);
});
