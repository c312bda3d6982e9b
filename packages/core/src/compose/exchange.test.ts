import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { candidatesFor } from './candidates.js';
import { Choice } from './choice.js';
import { composeFor, solver } from './composing.fixture.js';
import { exchanged } from './exchange.js';
import { integerProgrammeOf } from './integer-programme.js';
import { composingOf } from './question.js';
import type { Said } from './rule-words.js';
import { worthOf } from './worth.js';
import { runs } from '../properties.fixture.js';

const composing = composingOf(composeFor('racket-arm', 'daily-range'));
const { candidates } = candidatesFor(composing);
const { linear, structure } = integerProgrammeOf(composing, candidates);
const some = fc.uniqueArray(fc.nat(candidates.length - 1), { minLength: 1, maxLength: 24 });

test('a choice knows its worth, however it came about', () => {
  fc.assert(
    fc.property(some, some, (mine, others) => {
      const choice = Choice.of(structure, [...mine, ...others, ...others]);
      const chosen = mine.map((at) => candidates[at]!);
      expect(choice.worth()).toBeCloseTo(worthOf(chosen, composing), 9);
      expect(choice.broken()).toBeCloseTo(Choice.of(structure, mine).broken(), 6);
    }),
    runs(100),
  );
});

test('what cannot be worth more is not looked at to its end, and what can be is', () => {
  fc.assert(
    fc.property(some, fc.nat(candidates.length - 1), fc.integer({ min: -300, max: 60 }), (mine, more, least) => {
      const choice = Choice.of(structure, mine);
      const reasons: Said[] = [];
      const value = choice.worth() - choice.broken(reasons);
      expect(reasons.length > 0).toBe(choice.broken() > 0);
      if (value > least + 1e-6) expect(choice.valueAbove(least)).toBeCloseTo(value, 9);
      else if (value < least - 1e-6) expect(choice.valueAbove(least)).toBeLessThanOrEqual(least);
      if (mine.includes(more)) return;
      const worthWith = choice.worthWith(more);
      choice.toggle(more);
      expect(choice.worth()).toBeCloseTo(worthWith, 9);
    }),
    runs(200),
  );
});

test('a choice keeps the rules exactly when the programme allows it, and is worth as much in it', () => {
  const near = exchanged(structure, [], [...candidates.keys()])!;
  const settled = (chosen: readonly number[]) => {
    const mine = new Set(chosen);
    const fixed = candidates.map((_, at) => ({
      rule: 'locked' as const,
      terms: [[at, 1] as const],
      min: mine.has(at) ? 1 : 0,
      max: mine.has(at) ? 1 : 0,
    }));
    return solver.solve({ unknowns: linear.unknowns, rows: [...linear.rows, ...fixed] });
  };
  const sound = settled(near.chosen);
  expect(sound.worth).toBeCloseTo(near.worth, 5);
  fc.assert(
    // Choices near a sound one: some keep the rules, some break one.
    fc.property(
      fc.uniqueArray(fc.nat(candidates.length - 1), { maxLength: 2 }),
      fc.uniqueArray(fc.constantFrom(...near.chosen), { maxLength: 2 }),
      (more, less) => {
        const chosen = [...new Set([...near.chosen, ...more])].filter((at) => !less.includes(at));
        const choice = Choice.of(structure, chosen);
        const { values, worth } = settled(chosen);
        expect(choice.broken() === 0).toBe(values !== null);
        if (values) expect(choice.worth()).toBeCloseTo(worth, 5);
      },
    ),
    runs(60),
  );
});

test('exchanging is never worse than taking what brings most, one after the other', () => {
  const greedy = Choice.of(structure);
  for (;;) {
    const before = greedy.worth() - greedy.broken();
    const gains = candidates.map((_, at) => {
      if (greedy.chosen[at]) return -Infinity;
      greedy.toggle(at);
      const gain = greedy.worth() - greedy.broken() - before;
      greedy.toggle(at);
      return gain;
    });
    const most = Math.max(...gains);
    if (most <= 1e-9) break;
    greedy.toggle(gains.indexOf(most));
  }
  const near = exchanged(structure, [], [...candidates.keys()])!;
  expect(near.worth).toBeGreaterThanOrEqual(greedy.worth() - greedy.broken() - 1e-9);
});

test.each(['desk-hands', 'gentle-return', 'elbow-lever-range', 'mixed-class'] as const)(
  'from what the relaxation takes it comes to something sound, without going in circles: %s',
  (goal) => {
    const mine = composingOf(composeFor(goal, 'floor-loading'));
    const shelf = candidatesFor(mine).candidates;
    const programme = integerProgrammeOf(mine, shelf);
    const { values, reduced } = solver.relax(programme.linear);
    const rank = (at: number) => (values?.[at] ?? 0) * 1000 + (reduced[at] ?? 0);
    const few = [...shelf.keys()].sort((a, b) => rank(b) - rank(a)).slice(0, 90);
    const start = few.filter((at) => (values?.[at] ?? 0) > 0.5);
    const near = exchanged(programme.structure, start, few);
    expect(near).not.toBeNull();
    expect(Choice.of(programme.structure, near?.chosen).broken()).toBe(0);
  },
);
