import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { parseDose } from '../model/dose-shorthand.js';
import { type Block, USUAL_PACING } from '../model/sequence.js';
import { type CountedSet, standingSets } from '../model/session.js';
import { compileTimeline } from './compile-timeline.js';
import { completion, plannedAgainstDone, totals } from './planned-done.js';

type Planned = Pick<Block, 'id' | 'movementId' | 'levelId' | 'bonus'> & { readonly dose: string };
const compile = (...blocks: Planned[]) =>
  compileTimeline(
    {
      ...{ title: 'test', purpose: '', budgetMin: 10, pacing: USUAL_PACING },
      blocks: blocks.map((block) => ({ ...block, phase: 'load', dose: parseDose(block.dose) })),
    },
    shippedMovement,
  );
const timeline = compile(
  { id: 'squeeze', movementId: 'grip.ball-squeeze', levelId: 'soft', dose: '2x8 tempo1-1 L,R' },
  { id: 'wave', movementId: 'free.bending-waves', levelId: 'arms-side', dose: '1x4 tempo1-1 L/R' },
);
const done = (id: string, set: number, side: CountedSet['side'], doneAmount: number, more: Partial<CountedSet> = {}): CountedSet => ({
  id,
  blockId: 'squeeze',
  set,
  side,
  direction: null,
  unit: 'repetitions',
  plannedAmount: 8,
  doneAmount,
  ...more,
});

describe('planned against done', () => {
  test('one row for each planned piece, alternating hands apart; what was not reached is null', () => {
    const rows = plannedAgainstDone(timeline, [done('a', 1, 'left', 8), done('b', 1, 'right', 6)]);
    expect(rows.map((row) => [row.blockId, row.set, row.side, row.plannedAmount, row.doneAmount])).toEqual([
      ['squeeze', 1, 'left', 8, 8],
      ['squeeze', 1, 'right', 8, 6],
      ['squeeze', 2, 'left', 8, null],
      ['squeeze', 2, 'right', 8, null],
      ['wave', 1, 'left', 4, null],
      ['wave', 1, 'right', 4, null],
    ]);
    expect(totals(rows.filter((row) => row.blockId === 'squeeze'))).toEqual({
      plannedAmount: 32,
      doneAmount: 14,
      ratio: 14 / 32,
    });
    // (8/8 + 6/8 + 0 + 0 + 0 + 0) / 6
    expect(completion(rows)).toBeCloseTo(1.75 / 6, 12);
  });

  test('a correction takes the place of what it corrects, downward too; a correction of a correction wins', () => {
    const sets = [done('a', 1, 'left', 8), done('b', 1, 'left', 6, { corrects: 'a' }), done('c', 1, 'left', 7, { corrects: 'b' })];
    expect(standingSets(sets).map((set) => set.id)).toEqual(['c']);
    expect(plannedAgainstDone(timeline, sets)[0]?.doneAmount).toBe(7);
  });

  test('work done twice counts once, by its better time', () => {
    expect(plannedAgainstDone(timeline, [done('a', 1, 'left', 3), done('b', 1, 'left', 8)])[0]?.doneAmount).toBe(8);
  });

  test('more than planned shows, but does not make up for what is missing', () => {
    const rows = plannedAgainstDone(timeline, [done('a', 1, 'left', 16)]);
    expect(rows[0]?.doneAmount).toBe(16);
    expect(completion(rows)).toBeCloseTo(1 / 6, 12);
  });

  test('what was eased to a different kind of work stands in its own unit, of what was then planned', () => {
    const eased = { unit: 'seconds', plannedAmount: 20 } as const;
    const rows = plannedAgainstDone(timeline, [done('a', 1, 'left', 2), done('b', 1, 'left', 15, eased)]);
    expect(rows[0]).toMatchObject({ unit: 'seconds', plannedAmount: 20, doneAmount: 15 });
    expect(completion(rows.slice(0, 1))).toBeCloseTo(0.75, 10);
  });

  test('sets that the plan does not know are kept at the end', () => {
    const rows = plannedAgainstDone(timeline, [done('a', 3, 'left', 5)]);
    expect(rows.at(-1)).toMatchObject({ set: 3, doneAmount: 5 });
  });

  test('a row from before a movement was counted in each position stands for all of its positions', () => {
    const raises = compile({ id: 'raise', movementId: 'weight.raises-three', levelId: 'light', dose: '1x8 tempo1-1 L' });
    const rows = plannedAgainstDone(raises, [done('a', 1, 'left', 6, { blockId: 'raise' })]);
    expect(rows.map(({ direction, doneAmount }) => [direction, doneAmount])).toEqual(
      [...new Set(raises.stints.map(({ direction }) => direction))].map((direction) => [direction, 6]),
    );
    expect(rows.length).toBeGreaterThan(1);
    expect(completion(rows)).toBeCloseTo(6 / 8, 12);
  });

  test('a bonus that was left out is not missing; one that was done counts', () => {
    const squeeze = { movementId: 'grip.ball-squeeze', levelId: 'soft', dose: '1x8 tempo1-1 L,R' };
    const withBonus = compile({ id: 'squeeze', ...squeeze }, { id: 'more', ...squeeze, bonus: true });
    const squeezed = [done('a', 1, 'left', 8), done('b', 1, 'right', 8)];
    expect(completion(plannedAgainstDone(withBonus, squeezed))).toBe(1);
    const half = [...squeezed, done('c', 1, 'left', 4, { blockId: 'more' })];
    expect(completion(plannedAgainstDone(withBonus, half))).toBeCloseTo(2.5 / 3, 12);
  });

  test('an empty plan is not a division by zero', () => {
    expect(completion([])).toBe(0);
    expect(totals([]).ratio).toBe(0);
  });
});
