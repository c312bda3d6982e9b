import { describe, expect, test } from '@jest/globals';
import { addDays } from '../../vocabulary/days.js';
import type { SuggestionSession } from './question.js';
import { growingIn } from './refer.js';

/** Next-day checks of the left hand, so many days apart, the last one yesterday. */
const checks = (scores: readonly number[], gapDays: number) =>
  scores.map((left, index) => ({
    id: `s${index}`,
    onDay: addDays('2026-06-09', -gapDays * (scores.length - 1 - index)),
    scores: { left, right: 0 },
  })) as unknown as SuggestionSession[];
const grows = (scores: readonly number[], gapDays: number) => growingIn(checks(scores, gapDays), 'left') !== null;

describe('pain that grows is known by its slope over three weeks', () => {
  test.each<[readonly number[], number]>([
    [[3, 5, 7], 5],
    [[3, 5, 5, 6], 5],
    [[3, 5, 5, 6], 7],
    [[1, 2, 3], 3],
    [[2, 2, 4, 4, 5], 4],
  ])('%p every %d days refers', (scores, gap) => expect(grows(scores, gap)).toBe(true));

  test.each<[readonly number[], number]>([
    [[1, 2, 1, 3], 3],
    [[6, 4, 3], 4],
    [[4, 4, 4, 4], 5],
    [[2, 6, 3], 4],
    [[0, 1, 2], 3],
    [[3, 5], 5],
    [[3, 4, 4], 10],
  ])('%p every %d days does not', (scores, gap) => expect(grows(scores, gap)).toBe(false));

  test('what lies more than three weeks back no longer counts, and the other hand is its own', () => {
    expect(grows([1, 3, 5], 12)).toBe(false);
    expect(growingIn(checks([3, 5, 7], 5), 'right')).toBeNull();
  });
});
