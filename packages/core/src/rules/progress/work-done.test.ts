import { expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { write } from '../checks/sessions.fixture.js';
import { type LedSession, workDoneIn } from './work-done.js';

const plan = write([
  ['strength', 'strength.palm-lift', 'all-fours', '2x8 rest30'],
  ['strength', 'isometric.flexion', 'medium', '2x6 @50% 5s L,R rest20'],
  ['skill', 'bearing.palm-support', 'plank', '2x20s rest40'],
]);
const all = compileTimeline(plan, shippedMovement).stints.map(({ blockId, round, set, side, direction, unit, plannedAmount }, index) => ({
  id: `set-${index}`,
  ...{ blockId, round, set, side, direction, unit, plannedAmount },
  doneAmount: plannedAmount,
}));
const led = (change: Partial<LedSession> = {}): LedSession => ({
  id: 's',
  startedAt: '2026-06-08T10:00:00.000Z',
  endedAt: '2026-06-08T10:20:00.000Z',
  onDay: '2026-06-08',
  plan,
  sets: all,
  reports: plan.blocks.map(({ id }) => ({ blockId: id, discomfort: 1, exertion: 5, at: '2026-06-08T10:10:00.000Z' })),
  complaints: [],
  form: [],
  mornings: { left: null, right: null },
  ...change,
});
const of = (session: LedSession, movementId: string, hand: 'left' | 'right') =>
  workDoneIn(session, shippedMovement).find((done) => done.movementId === movementId && done.hand === hand);

test('each hand has what it did: sets that were done to their end, and what each of them had', () => {
  expect(of(led(), 'strength.palm-lift', 'left')).toMatchObject({
    sets: 2,
    amount: 8,
    unit: 'repetitions',
    isWhole: true,
    discomfort: 1,
    exertion: 5,
  });
  expect(of(led(), 'isometric.flexion', 'right')).toMatchObject({
    sets: 2,
    amount: 6,
    effortPercent: 50,
    isWhole: true,
  });
  expect(of(led(), 'bearing.palm-support', 'left')).toMatchObject({
    levelId: 'plank',
    sets: 2,
    amount: 20,
    unit: 'seconds',
  });
});

test('a hand that fell short did less, the other did all of it', () => {
  const sets = all.map((set) => (set.blockId === 'b2' && set.side === 'left' && set.set === 2 ? { ...set, doneAmount: 3 } : set));
  expect(of(led({ sets }), 'isometric.flexion', 'left')).toMatchObject({ sets: 1, isWhole: false });
  expect(of(led({ sets }), 'isometric.flexion', 'right')).toMatchObject({ sets: 2, isWhole: true });
});

test('a session that ended early holds what was reached; what was not begun is not there', () => {
  const sets = all.filter(({ blockId, set }) => blockId === 'b1' && set === 1);
  expect(of(led({ sets }), 'strength.palm-lift', 'left')).toMatchObject({ sets: 1, amount: 8, isWhole: false });
  expect(of(led({ sets }), 'bearing.palm-support', 'left')).toBeUndefined();
});

test('what was eased on the spot counts as the form that it was eased to', () => {
  const sets = all.map((set) => (set.blockId === 'b3' && set.set === 2 ? { ...set, levelId: 'all-fours' } : set));
  expect(of(led({ sets }), 'bearing.palm-support', 'right')).toMatchObject({
    levelId: 'all-fours',
    sets: 1,
    isWhole: false,
  });
});

test('what hurt in the middle is of its hand, and weighs more than what was told at the end', () => {
  const complaints = [{ blockId: 'b3', hand: 'left' as const, discomfort: 5 }];
  expect(of(led({ complaints }), 'bearing.palm-support', 'left')?.discomfort).toBe(5);
  expect(of(led({ complaints }), 'bearing.palm-support', 'right')?.discomfort).toBe(1);
  expect(of(led({ reports: [] }), 'bearing.palm-support', 'right')?.discomfort).toBeNull();
});

test('faults of form are of their hand and block; one that was ticked off does not stand', () => {
  const tick = (fault: string, seen: boolean, minute: number) => ({
    blockId: 'b3',
    hand: 'right' as const,
    fault,
    seen,
    at: `2026-06-08T10:0${minute}:00.000Z`,
  });
  const form = [tick('Held breath', true, 1), tick('Racing', true, 2), tick('Held breath', false, 3)];
  expect(of(led({ form }), 'bearing.palm-support', 'right')?.formFaults).toEqual(['Racing']);
  expect(of(led({ form }), 'bearing.palm-support', 'left')?.formFaults).toEqual([]);
  expect(of(led({ form }), 'isometric.flexion', 'right')?.formFaults).toEqual([]);
});

test('corrected sets count as corrected', () => {
  const first = all[0]!;
  const corrected = { ...first, id: 'better', doneAmount: 2, corrects: first.id };
  expect(of(led({ sets: [...all, corrected] }), 'strength.palm-lift', 'left')).toMatchObject({
    sets: 1,
    isWhole: false,
  });
});

test('an open set is done when it was done at all, and counts as much as it came to', () => {
  const open = write([['strength', 'bearing.palm-support', 'all-fours', '2x20s,1xmax60s']]);
  const stints = compileTimeline(open, shippedMovement).stints;
  const sets = stints.map(({ blockId, round, set, side, direction, unit, plannedAmount, open: isOpen }, index) => ({
    id: `open-${index}`,
    ...{ blockId, round, set, side, direction, unit, plannedAmount },
    doneAmount: isOpen ? 24 : plannedAmount,
  }));
  const [done] = workDoneIn(led({ plan: open, sets }), shippedMovement);
  expect(done).toMatchObject({ sets: 3, amount: 20, isWhole: true });
});

test('a round that was planned a level up was done, not eased', () => {
  const lines = write([['skill', 'bearing.palm-support', 'all-fours', '1x20s']]);
  const rounds = [{ id: 'r', blockIds: ['b1'], times: 2, restS: 30, change: { levels: 1 } }];
  const plan2 = { ...lines, rounds };
  const sets = compileTimeline(plan2, shippedMovement).stints.map(
    ({ blockId, round, set, side, direction, unit, plannedAmount, levelId }, index) => ({
      id: `round-${index}`,
      ...{ blockId, round, set, side, direction, unit, plannedAmount, levelId },
      movementId: 'bearing.palm-support',
      doneAmount: plannedAmount,
    }),
  );
  expect(new Set(sets.map(({ levelId }) => levelId)).size).toBe(2);
  const [done] = workDoneIn(led({ plan: plan2, sets }), shippedMovement);
  expect(done).toMatchObject({ levelId: sets.at(-1)!.levelId, sets: 1, isWhole: true });
});
