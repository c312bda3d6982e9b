import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { personOf } from '../../mechanics/person.js';
import { solveLevel } from '../../mechanics/solve.js';
import type { Level } from '../../model/movement.js';
import { checkMovement } from './check-movement.js';
import { insertLevel, movementFor } from './insert-level.js';

const support = shippedMovement('bearing.palm-support')!;
const [, first] = support.ladder as readonly [Level, Level, ...Level[]];
const leaning = (leanDeg: number, id: string): Level => {
  if (first.load.kind !== 'body') throw new Error('a posture');
  return { ...first, id, load: { kind: 'body' as const, stance: { ...first.load.stance, leanDeg } } };
};

describe('a level that joins a ladder', () => {
  test('stands where its demand belongs, and the ladder still rises', () => {
    const between = insertLevel(support, leaning(3, 'between'));
    expect(between.ladder.map(({ id }) => id).slice(0, 4)).toEqual(['wedge', 'all-fours', 'between', 'knees-back']);
    expect(checkMovement(between)).toEqual([]);
    expect(insertLevel(support, leaning(-8, 'easier')).ladder[1]?.id).toBe('easier');
  });

  test('that is as hard as another is refused by the same check as everywhere', () => {
    expect(checkMovement(insertLevel(support, { ...first, id: 'twin' }))[0]!.message).toContain('doesn’t increase');
  });
});

describe('a level that was found for one person', () => {
  const SMALL = { sex: 'female', statureCm: 152, massKg: 48, birthDate: '1990-01-01' } as const;
  const LARGE = { sex: 'male', statureCm: 198, massKg: 105, birthDate: '1990-01-01' } as const;

  test.each([
    ['a small woman', SMALL],
    ['a tall man', LARGE],
  ])('%s: can be kept whatever an average ladder would say, and is judged by their body', (_who, record) => {
    const { person } = personOf(record, [], '2026-06-10');
    for (const value of [10, 15, 20, 25]) {
      const target = { quantity: 'loadPercentBW', value, hand: 'left' } as const;
      const { level } = solveLevel(person, first, 'leanDeg', target);
      const fresh = { ...first, ...level, id: 'found', name: 'Found' };
      const own = movementFor(support, fresh, person, 'Wren Tallow');
      expect(checkMovement(own)).toEqual([]);
      expect(own.ladder.map(({ id }) => id)).toContain('found');
      expect(own).toMatchObject({ name: 'Palm support, for Wren Tallow', madeFor: { statureCm: record.statureCm } });
      // The next one that is found joins by the same judge.
      const next = solveLevel(person, first, 'leanDeg', { ...target, value: value + 3 });
      expect(checkMovement(insertLevel(own, { ...first, ...next.level, id: 'next', name: 'Next' })).length).toBeLessThan(2);
    }
  });

  test('where there are too many levels, the farthest from it stays behind', () => {
    const { person } = personOf(SMALL, [], '2026-06-10');
    const eight = [-9, -6, -3, 1, 3, 5, 7, 9].map((lean) => leaning(lean, `lean${lean}`));
    const full = { ...support, ladder: eight as [Level, ...Level[]] };
    const own = movementFor(full, leaning(8, 'found'), person, 'Wren');
    expect(own.ladder).toHaveLength(8);
    expect(own.ladder.map(({ id }) => id)).not.toContain('lean-9');
    expect(checkMovement(own)).toEqual([]);
  });
});
