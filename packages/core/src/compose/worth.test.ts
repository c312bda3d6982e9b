import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { TRAINING_GOALS } from '../library/index.js';
import { candidatesFor } from './candidates.js';
import { composeFor } from './composing.fixture.js';
import { countsFor, targetsS } from './goal.js';
import { composingOf } from './question.js';
import { session } from '../rules/checks/sessions.fixture.js';
import { counted, goalPercent, ownWorth, wantWorths, worthOfSeconds } from './worth.js';
import { runs } from '../properties.fixture.js';

describe('what seconds of a want are worth', () => {
  const want = { targetS: 100, points: 40 };

  test('the first half more than the second, and more than all of it a little', () => {
    expect(worthOfSeconds(0, want)).toBe(0);
    expect(worthOfSeconds(50, want)).toBeCloseTo(0.65 * 40, 9);
    expect(worthOfSeconds(100, want)).toBeCloseTo(40, 9);
    expect(worthOfSeconds(150, want)).toBeCloseTo(1.06 * 40, 9);
    expect(worthOfSeconds(1000, want)).toBeCloseTo(1.06 * 40, 9);
  });

  test('never less for more, and each second no more than the one before', () => {
    fc.assert(
      fc.property(fc.double({ min: 0, max: 300, noNaN: true }), fc.double({ min: 0.1, max: 50, noNaN: true }), (s, more) => {
        const [first, second, third] = [s, s + more, s + 2 * more].map((each) => worthOfSeconds(each, want)) as [number, number, number];
        expect(second).toBeGreaterThanOrEqual(first - 1e-9);
        expect(third - second).toBeLessThanOrEqual(second - first + 1e-9);
      }),
      runs(100),
    );
  });
});

test.each(TRAINING_GOALS.map((goal) => [goal.id, goal] as const))(
  '%s: its wants are worth a hundred points, and share the time in which hands work',
  (_, goal) => {
    const worths = wantWorths({ goal, minutes: 20 });
    expect(worths.reduce((sum, { points }) => sum + points, 0)).toBeCloseTo(100, 6);
    // Some three fifths of a session are work; the rest is changing sides and place, and resting.
    const workS = targetsS(goal, 20).reduce((sum, each) => sum + each, 0);
    expect(workS / (20 * 60)).toBeGreaterThan(0.5);
    expect(workS / (20 * 60)).toBeLessThan(0.75);
    // Twice the minutes want twice of everything.
    expect(targetsS(goal, 40)).toEqual(targetsS(goal, 20).map((each) => 2 * each));
  },
);

const composing = composingOf(composeFor('handstand-load', 'floor-loading'));
const { candidates } = candidatesFor(composing);

test('more of one want than is wanted does not make up for another', () => {
  const all = wantWorths(composing).map(({ targetS }) => targetS);
  expect(goalPercent(all, composing)).toBeCloseTo(100, 6);
  expect(
    goalPercent(
      all.map((each) => 5 * each),
      composing,
    ),
  ).toBeCloseTo(100, 6);
  const withoutFirst = all.map((each, index) => (index === 0 ? 0 : 3 * each));
  expect(goalPercent(withoutFirst, composing)).toBeCloseTo(100 - (wantWorths(composing)[0]?.points ?? 0), 6);
});

test('no movement fills a want alone', () => {
  wantWorths(composing).forEach((want, index) => {
    for (const each of candidates) expect(counted(each, index, want)).toBeLessThanOrEqual(0.5 * want.targetS + 1e-9);
  });
});

test('weight on bent-back wrists counts the more for handstands the more of it there is', () => {
  const weight = composing.goal.wants.find(({ asks }) => asks?.loadPercentBW !== undefined);
  if (!weight) throw new Error('The goal asks for no weight.');
  const share = (movementId: string, levelId: string) => {
    const found = candidates.find(({ movement, level }) => movement.id === movementId && level.id === levelId);
    const { movement, level, demand } = found ?? {};
    return movement && level && demand ? countsFor(weight, movement, level, demand) : undefined;
  };
  const shares = candidates
    .filter(({ level }) => level.loading === 'planted')
    .map(({ movement, level, demand }) => ({ load: demand?.left.loadPercentBW ?? 0, share: share(movement.id, level.id) ?? 0 }));
  for (const { share: counts } of shares) expect(counts === 0 || (counts >= 0.25 && counts <= 1)).toBe(true);
  const most = Math.max(...shares.map(({ share: counts }) => counts));
  const light = shares.filter(({ load, share: counts }) => load < 20 && counts > 0);
  expect(light.length).toBeGreaterThan(0);
  for (const { share: counts } of light) expect(counts).toBeLessThan(most);
});

test('a method that changes leaves what was done last, one that stays goes back to it', () => {
  const [candidate] = candidates;
  if (!candidate) throw new Error('There is nothing to choose from.');
  const last = [session('2026-06-08', { movementIds: [candidate.movement.id] })];
  const own = (variety: 'same' | 'rotate', past = last) =>
    ownWorth(candidate, { ...composing, past, method: { ...composing.method, variety } });
  expect(own('same')).toBeGreaterThan(own('same', []));
  expect(own('rotate')).toBeLessThan(own('rotate', []));
});
