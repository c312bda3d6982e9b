import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { solver } from './composing.fixture.js';
import { type Linear, LinearWriter } from './linear.js';
import { runs } from '../properties.fixture.js';

/** A knapsack: things of a worth and a weight, of which no more may be taken than can be carried. */
function knapsack(things: readonly (readonly [worth: number, weight: number])[], carried: number): Linear {
  const writer = new LinearWriter();
  const terms = things.map(([worth, weight]) => [writer.unknown({ worth, whole: true }), weight] as const);
  writer.row('minutes', terms, { max: carried });
  return { unknowns: writer.unknowns, rows: writer.rows };
}
/** The most of all that can be taken, by trying everything. */
function tried(things: readonly (readonly [number, number])[], carried: number): number {
  let most = 0;
  for (let taken = 0; taken < 2 ** things.length; taken++) {
    const mine = things.filter((_, at) => taken & (1 << at));
    const sum = (of: 0 | 1) => mine.reduce((total, thing) => total + thing[of], 0);
    if (sum(1) <= carried) most = Math.max(most, sum(0));
  }
  return most;
}
const thing = fc.tuple(fc.integer({ min: 1, max: 40 }), fc.integer({ min: 1, max: 20 }));

test('it finds what trying everything finds; the relaxation is never worth less', () => {
  fc.assert(
    fc.property(fc.array(thing, { minLength: 1, maxLength: 10 }), fc.nat(80), (things, carried) => {
      const linear = knapsack(things, carried);
      const most = tried(things, carried);
      expect(solver.solve(linear).worth).toBeCloseTo(most, 6);
      expect(solver.relax(linear).bound).toBeGreaterThanOrEqual(most - 1e-6);
    }),
    runs(40),
  );
});

describe('a programme that takes some looking', () => {
  // Worth by weight is nearly the same of all: there is much to try.
  const things = Array.from({ length: 40 }, (_, at) => [100 + ((at * 37) % 23), 90 + ((at * 53) % 29)] as const);
  const linear = knapsack(things, 1500);
  const { worth: best } = solver.solve(linear);

  test('tells what is proven: it never rises, and nothing is worth more', () => {
    const bounds: number[] = [];
    const worths: number[] = [];
    const goOn = (worth: number, bound: number) => bounds.push(bound) + worths.push(worth) > 0;
    const { bound, worth } = solver.solve(linear, { goOn });
    expect(bounds.length).toBeGreaterThan(0);
    expect(bounds).toEqual(bounds.toSorted((a, b) => b - a));
    expect(worths).toEqual(worths.toSorted((a, b) => a - b));
    expect(Math.min(...bounds, bound)).toBeGreaterThanOrEqual(best - 1e-6);
    expect(worth).toBeCloseTo(best, 6);
  });

  test('tells each better solution, and what it is worth', () => {
    const reportedCapacities: number[] = [];
    solver.solve(linear, {
      better: (values, worth) => {
        expect(things.reduce((sum, [each], at) => sum + each * Math.round(values[at] ?? 0), 0)).toBeCloseTo(worth, 6);
        reportedCapacities.push(worth);
      },
    });
    expect(reportedCapacities).toEqual(reportedCapacities.toSorted((a, b) => a - b));
    expect(reportedCapacities.at(-1)).toBeCloseTo(best, 6);
  });

  test('begins with what it is given, and stops when it is told to', () => {
    const chosen = things.map((_, at) => at < 5);
    const { worth } = solver.solve(linear, { chosen, goOn: (reached) => reached === -Infinity });
    expect(worth).toBeGreaterThanOrEqual(things.slice(0, 5).reduce((sum, [each]) => sum + each, 0) - 1e-6);
    expect(worth).toBeLessThanOrEqual(best + 1e-6);
  });
});

test('what nothing can keep has no solution, and no bound that would speak for one', () => {
  const writer = new LinearWriter();
  const one = writer.unknown({ worth: 1, whole: true });
  writer.row('family', [[one, 1]], { min: 2 });
  const linear = { unknowns: writer.unknowns, rows: writer.rows };
  expect(solver.relax(linear).values).toBeNull();
  expect(solver.solve(linear)).toEqual({ values: null, worth: -Infinity, bound: Infinity });
});
