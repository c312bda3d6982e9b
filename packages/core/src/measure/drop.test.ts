import { describe, expect, test } from '@jest/globals';
import { dropWatched, isLetGo, NOT_HELD } from './drop.js';

/** Forces of so many seconds each, ten samples a second. */
type Span = readonly [seconds: number, valueN: number];
const signal = (...spans: readonly Span[]) => {
  let tS = 0;
  return spans.flatMap(([seconds, valueN]) => Array.from({ length: Math.round(seconds * 10) }, () => ({ tS: (tS += 0.1), valueN })));
};
const letGo = (...spans: readonly Span[]) => isLetGo(dropWatched(NOT_HELD, signal(...spans), { lowN: 100 }));

describe('a hold that is let go', () => {
  test('is over once it was held and stays down for a second', () => {
    expect(letGo([5, 120], [0.5, 10])).toBe(false);
    expect(letGo([5, 120], [1.3, 10])).toBe(true);
  });
  test('a slip that is caught ends nothing', () => {
    expect(letGo([5, 120], [0.7, 10], [2, 110], [0.7, 10])).toBe(false);
  });
  test('what was never held cannot be let go; below the band is not yet let go', () => {
    expect(letGo([9, 10])).toBe(false);
    expect(letGo([0.5, 120], [4, 0])).toBe(false);
    expect(letGo([5, 120], [9, 60])).toBe(false);
  });
  test('comes out the same in however many pieces the samples arrive', () => {
    const all = signal([3, 120], [1.4, 20]);
    const pieces = [all.slice(0, 7), all.slice(7, 31), all.slice(31)];
    const watched = pieces.reduce((watch, more) => dropWatched(watch, more, { lowN: 100 }), NOT_HELD);
    expect(watched).toEqual(dropWatched(NOT_HELD, all, { lowN: 100 }));
  });
});
