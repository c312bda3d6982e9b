import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../../library/index.js';
import { itemAt, must } from '../../vocabulary/lists.js';
import type { Step } from './level-standing.js';
import { doseNow, levelNow, type HandStanding } from './progressed.js';

const hold = must(shippedMovement('bearing.palm-support'), 'palm support');
const at = (levelIndex: number, step: Step = { kind: 'hold' }, amount = 20, sets = 2): HandStanding => ({
  movementId: hold.id,
  levelId: itemAt(hold.ladder, levelIndex).id,
  step,
  last: { unit: 'seconds', sets, amount, effortPercent: null },
});
const id = (levelIndex: number) => itemAt(hold.ladder, levelIndex).id;

describe('the level that hands have come to', () => {
  test('is the lower of both', () => expect(levelNow(hold, [at(2), at(1)])?.id).toBe(id(1)));
  test('goes up when both have passed', () => {
    const up: Step = { kind: 'level up', levelId: id(2) };
    expect(levelNow(hold, [at(1, up), at(1, up)])?.id).toBe(id(2));
    expect(levelNow(hold, [at(1, up), at(1)])?.id).toBe(id(1));
  });
  test('goes down when either has to', () => {
    expect(levelNow(hold, [at(2, { kind: 'level down', levelId: id(0) }), at(2)])?.id).toBe(id(0));
  });
  test('is not known of what was never done', () => expect(levelNow(hold, [])).toBeUndefined());
});

describe('the dose that hands have come to', () => {
  const level = itemAt(hold.ladder, 1);
  const usual = { ...level.dose, sets: 3, work: { kind: 'time' as const, seconds: 15 } };
  const now = (...standings: HandStanding[]) => doseNow(usual, level, hold.id, standings);
  test('is what both did last, with the step that both may take', () => {
    expect(now(at(1, { kind: 'amount', to: 25 }), at(1))).toMatchObject({ sets: 2, work: { seconds: 20 } });
    expect(now(at(1, { kind: 'amount', to: 25 }), at(1, { kind: 'amount', to: 25 }))).toMatchObject({
      work: { seconds: 25 },
    });
    expect(now(at(1, { kind: 'sets', to: 3 }, 30), at(1, { kind: 'sets', to: 3 }, 30))).toMatchObject({
      sets: 3,
      work: { seconds: 30 },
    });
  });
  test('is the usual one at the beginning of a level, after trouble, and where it would be unusual', () => {
    expect(now(at(0))).toBe(usual);
    expect(now(at(1, { kind: 'ease' }))).toBe(usual);
    expect(now(at(1, { kind: 'hold' }, 300))).toBe(usual);
    expect(now({ ...at(1), last: { unit: 'breaths', sets: 2, amount: 4, effortPercent: null } })).toBe(usual);
  });
});
