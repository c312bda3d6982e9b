import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import fc from 'fast-check';
import { METHODS, shippedMovement } from '../../library/index.js';
import { findLevel } from '../../model/movement.js';
import { addDays } from '../../vocabulary/days.js';
import { itemAt, lastOf, must } from '../../vocabulary/lists.js';
import { CLEAN_CONDITIONS, gateOf, gateWords, isClean, unmetIn } from './gates.js';
import { isProgression, standingOf, type StandingQuestion } from './level-standing.js';
import { MORNING_ADVICE } from '../reports/morning.js';
import type { WorkDone } from './work-done.js';
import { runs } from '../../properties.fixture.js';

const TODAY = '2026-06-10';
const movement = must(shippedMovement('bearing.palm-support'), 'palm support');
const levelIdAt = (index: number) => itemAt(movement.ladder, index).id;
const question: StandingQuestion = { movement, method: METHODS['floor-loading'], today: TODAY, isBarred: false };

let sessions = 0;
/** One session of the left hand: two days before the one after it, clean unless it says otherwise. */
const done = (change: Partial<WorkDone> & { daysAgo: number }): WorkDone => {
  const { daysAgo, ...rest } = change;
  return {
    sessionId: `s${sessions++}`,
    endedAt: `${addDays(TODAY, -daysAgo)}T10:00:00.000Z`,
    onDay: addDays(TODAY, -daysAgo),
    movementId: movement.id,
    levelId: levelIdAt(1),
    hand: 'left',
    unit: 'seconds',
    sets: 2,
    amount: 15,
    effortPercent: null,
    isWhole: true,
    discomfort: 1,
    exertion: 5,
    morning: 'go-on',
    formFaults: [],
    ...rest,
  };
};
const stepOf = (...history: WorkDone[]) => standingOf(history, question).step;

describe('what comes next', () => {
  test('fifteen seconds, clean twice, grow toward thirty', () => {
    expect(stepOf(done({ daysAgo: 2 }))).toEqual({ kind: 'hold' });
    expect(stepOf(done({ daysAgo: 7 }), done({ daysAgo: 2 }))).toEqual({ kind: 'amount', to: 20 });
    expect(stepOf(done({ daysAgo: 7, amount: 28 }), done({ daysAgo: 2, amount: 28 }))).toEqual({
      kind: 'amount',
      to: 30,
    });
  });

  test('the effort of a press grows by the method’s own step', () => {
    const press = must(shippedMovement('isometric.flexion'), 'a press');
    const level = itemAt(press.ladder, 1);
    const own = { ...METHODS['daily-range'], effortStepPercent: 4 };
    const gate = must(gateOf(level, 'repetitions', own), 'a gate');
    const what = {
      movementId: press.id,
      levelId: level.id,
      unit: 'repetitions',
      amount: gate.amount,
      effortPercent: 45,
      discomfort: 0,
    } as const;
    const history = [done({ daysAgo: 7, ...what }), done({ daysAgo: 2, ...what })];
    expect(standingOf(history, { ...question, movement: press, method: own }).step).toEqual({ kind: 'effort', to: 49 });
  });

  test('how often is the method’s: clean sessions that it asks for, and days between', () => {
    const paced = (change: object, ...history: WorkDone[]) =>
      standingOf(history, { ...question, method: { ...METHODS['floor-loading'], ...change } });
    const twice = [done({ daysAgo: 9 }), done({ daysAgo: 2 })];
    expect(paced({ sessionsPerStep: 3 }, ...twice)).toMatchObject({
      step: { kind: 'hold' },
      why: expect.stringContaining('clean in 2 of 3 sessions'),
    });
    expect(paced({ sessionsPerStep: 3 }, done({ daysAgo: 14 }), ...twice).step).toEqual({ kind: 'amount', to: 20 });
    expect(paced({ daysPerStep: 10 }, ...twice)).toMatchObject({
      step: { kind: 'hold' },
      why: expect.stringContaining('at most once in 10 days'),
    });
    expect(paced({ daysPerStep: 0 }, done({ daysAgo: 3 }), done({ daysAgo: 2 })).step.kind).toBe('amount');
  });

  test('no more than once in six days, however often it was clean', () => {
    const often = [5, 4, 3, 2, 1].map((daysAgo) => done({ daysAgo }));
    const { step, why } = standingOf(often, question);
    expect([step.kind, why]).toEqual(['hold', '2 sets of 15 s, clean in the last 5 sessions: increase at most once in 6 days.']);
    expect(standingOf([done({ daysAgo: 6 }), ...often], question).step.kind).toBe('amount');
  });

  test('what it is now is said with what it goes toward', () => {
    expect(standingOf([done({ daysAgo: 7 }), done({ daysAgo: 2 })], question).why).toBe(
      '2 sets of 15 s, clean in the last 2 sessions. Next: 2 sets of 20 s. Level up at 2 sets of 30 s in 2 sessions.',
    );
  });

  test('first the seconds, then the sets, then the level', () => {
    const at = (sets: number, amount: number) => [done({ daysAgo: 7, sets, amount }), done({ daysAgo: 2, sets, amount })];
    expect(stepOf(...at(1, 30))).toEqual({ kind: 'sets', to: 2 });
    const standing = standingOf(at(2, 30), question);
    expect(standing.streak).toBe(2);
    expect(standing.step).toEqual({ kind: 'level up', levelId: levelIdAt(2) });
    expect(sentenceText(standing.why)).toBe(`2 sets of 30 s in 2 sessions: done. Next comes “${itemAt(movement.ladder, 2).name}”.`);
  });

  test('one session at the gate is one of two', () => {
    const standing = standingOf([done({ daysAgo: 7, amount: 25 }), done({ daysAgo: 2, amount: 30 })], question);
    expect(standing.streak).toBe(1);
    expect(standing.step).toEqual({ kind: 'hold' });
    expect(sentenceText(standing.why)).toContain('1 of 2 sessions at the gate');
  });

  test('the effort of a press grows by ten points up to what the method has', () => {
    const press = must(shippedMovement('isometric.flexion'), 'a press');
    const level = itemAt(press.ladder, 1);
    const gate = must(gateOf(level, 'repetitions', METHODS['daily-range']), 'a gate');
    expect(gateWords(gate)).toBe(`2 sets of ${gate.amount} at 60 % in 2 sessions`);
    const at = (effortPercent: number, daysAgo: number) =>
      done({
        discomfort: 0,
        daysAgo,
        movementId: press.id,
        levelId: level.id,
        unit: 'repetitions',
        amount: gate.amount,
        effortPercent,
      });
    const next = standingOf([at(45, 7), at(45, 2)], { ...question, movement: press, method: METHODS['daily-range'] });
    expect(next.step).toEqual({ kind: 'effort', to: 55 });
  });

  test.each([
    ['not completed was done', { isWhole: false }, 'Not all of it was done.'],
    ['no rating', { discomfort: null }, 'No rating was recorded.'],
    ['it ached a little', { discomfort: 3 }, 'Discomfort 3 of 10.'],
    ['it was at the limit', { exertion: 9 }, 'Effort (RPE) 9 of 10.'],
    ['form gave way', { formFaults: ['Index knuckle lifts'] }, 'Index knuckle lifts. Repeat it unchanged.'],
    ['it ached and form gave way', { discomfort: 3, formFaults: ['Held breath'] }, 'Discomfort 3 of 10. Held breath.'],
    ['the morning was worse', { morning: 'hold' as const }, 'The next-day check says to keep this level.'],
  ])('it is held where %s', (_what, change, why) => {
    const standing = standingOf([done({ daysAgo: 7 }), done({ daysAgo: 2, ...change })], question);
    expect(standing.step).toEqual({ kind: 'hold' });
    expect(sentenceText(standing.why)).toContain(why);
  });

  test('each condition for more keeps a session that fails it alone, in its own words', () => {
    const method = METHODS['floor-loading'];
    const failing: Record<string, Partial<WorkDone>> = {
      'all of it': { isWhole: false },
      rated: { discomfort: null },
      discomfort: { discomfort: 3 },
      'next morning': { morning: 'hold' },
      exertion: { exertion: 9 },
    };
    expect(CLEAN_CONDITIONS.map(({ id }) => id)).toEqual(Object.keys(failing));
    for (const { id, words } of CLEAN_CONDITIONS) {
      const failed = done({ daysAgo: 2, ...failing[id] });
      expect([unmetIn(failed, method)?.id, isClean(failed, method)]).toEqual([id, false]);
      expect(standingOf([done({ daysAgo: 7 }), failed], question).why).toContain(words(failed, method));
    }
  });

  describe('form', () => {
    const KNUCKLE = 'Index knuckle lifts';
    const at = (daysAgo: number, formFaults: readonly string[] = [], levelId = levelIdAt(1)) =>
      done({ daysAgo, amount: 30, formFaults, levelId });

    test('no gate is met with a fault, however long it was held', () => {
      const standing = standingOf([at(9), at(2, [KNUCKLE])], question);
      expect(standing).toMatchObject({ streak: 0, step: { kind: 'hold' }, because: 'form' });
      expect(standingOf([at(9), at(2)], question)).toMatchObject({ streak: 2, step: { kind: 'level up' } });
    });

    test('one that stands twice in a row asks for less; two different ones, or one at another level, do not', () => {
      expect(standingOf([at(5, [KNUCKLE]), at(2, ['Held breath', KNUCKLE])], question)).toMatchObject({
        step: { kind: 'ease' },
        because: 'form',
        why: 'Index knuckle lifts, 2 sessions in a row: do less until it’s pain-free.',
      });
      expect(stepOf(at(5, ['Held breath']), at(2, [KNUCKLE]))).toEqual({ kind: 'hold' });
      expect(stepOf(at(5, [KNUCKLE], levelIdAt(2)), at(2, [KNUCKLE]))).toEqual({ kind: 'hold' });
      expect(stepOf(at(8, [KNUCKLE]), at(5), at(2, [KNUCKLE]))).toEqual({ kind: 'hold' });
    });

    test('what hurt is graver than form', () => {
      expect(standingOf([at(5, [KNUCKLE]), done({ daysAgo: 2, discomfort: 6, formFaults: [KNUCKLE] })], question).because).toBe('hurt');
    });
  });

  test('after two weeks without it a level back; on the lowest, less of it', () => {
    expect(stepOf(done({ daysAgo: 15 }))).toEqual({ kind: 'level down', levelId: levelIdAt(0) });
    expect(stepOf(done({ daysAgo: 15, levelId: levelIdAt(0) }))).toEqual({ kind: 'ease' });
    expect(stepOf(done({ daysAgo: 13 }))).toEqual({ kind: 'hold' });
  });

  test('after a flare-up the last level without trouble', () => {
    const history = [
      done({ daysAgo: 9, levelId: levelIdAt(1) }),
      done({ daysAgo: 5, levelId: levelIdAt(3), discomfort: 3 }),
      done({ daysAgo: 2, levelId: levelIdAt(3), discomfort: 6 }),
    ];
    const standing = standingOf(history, question);
    expect(standing.step).toEqual({ kind: 'level down', levelId: levelIdAt(1) });
    expect(sentenceText(standing.why)).toBe('Discomfort 6 of 10: go back to the last pain-free level, from 1 Jun 2026.');
  });

  test('where a method allows no discomfort, a three is a flare-up', () => {
    const careful = { ...question, method: METHODS['careful-return'] };
    expect(standingOf([done({ daysAgo: 2, discomfort: 3 })], careful).step).toEqual({
      kind: 'level down',
      levelId: levelIdAt(0),
    });
  });

  test('the highest level has nothing above it', () => {
    const top = lastOf(movement.ladder).id;
    const at = (daysAgo: number) => done({ daysAgo, levelId: top, amount: 30 });
    expect(standingOf([at(4), at(2)], question).why).toContain('this is the highest level');
  });
});

test('a gate lies within what is usual for its level, for every level of a movement', () => {
  for (const level of movement.ladder) {
    const gate = gateOf(level, 'seconds', METHODS['floor-loading']);
    expect(gate).toMatchObject({ amount: 30, sets: 2, sessions: 2 });
  }
  const circles = must(findLevel(must(shippedMovement('free.wrist-circles'), 'circles'), 'free-fist'), 'a level');
  expect(gateOf(circles, 'metres', METHODS['floor-loading'])).toBeNull();
});

const anyHistory = fc.array(
  fc.record({
    daysAgo: fc.integer({ min: 0, max: 60 }),
    level: fc.nat(movement.ladder.length - 1),
    sets: fc.integer({ min: 0, max: 4 }),
    amount: fc.integer({ min: 0, max: 45 }),
    isWhole: fc.boolean(),
    discomfort: fc.option(fc.integer({ min: 0, max: 10 })),
    exertion: fc.option(fc.integer({ min: 0, max: 10 })),
    morning: fc.option(fc.constantFrom(...MORNING_ADVICE)),
    formFaults: fc.subarray(['Held breath', 'Racing']),
  }),
  { minLength: 1, maxLength: 12 },
);

test('nothing ever grows while a stop stands, after trouble, after a gap, or by more than one step', () => {
  fc.assert(
    fc.property(anyHistory, fc.boolean(), (drawn, isBarred) => {
      const history = drawn.sort((a, b) => b.daysAgo - a.daysAgo).map(({ level, ...rest }) => done({ ...rest, levelId: levelIdAt(level) }));
      const { step } = standingOf(history, { ...question, isBarred });
      const last = lastOf(history);
      const daysAgo = Math.min(...drawn.map((each) => each.daysAgo));
      if (isBarred || (last.discomfort ?? 0) > 2 || daysAgo >= 14 || last.morning === 'refer' || last.formFaults.length > 0)
        expect(isProgression(step)).toBe(false);
      const index = (id: string) => movement.ladder.findIndex((each) => each.id === id);
      if (step.kind === 'level up') expect(index(step.levelId)).toBe(index(last.levelId) + 1);
      if (step.kind === 'level down') expect(index(step.levelId)).toBeLessThan(index(last.levelId));
      if (step.kind === 'amount') expect(step.to).toBeLessThanOrEqual(Math.max(last.amount + 5, 30));
    }),
    runs(500),
  );
});
