import { describe, expect, test } from '@jest/globals';
import { of, suggestionsFor, TODAY } from '../../programme/suggestions.fixture.js';
import { addDays } from '../../vocabulary/days.js';
import { EQUIPMENT } from '../../vocabulary/places.js';
import { sentenceText } from '../../vocabulary/sentence.js';
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

describe('strong pain in a session', () => {
  const strong = (daysAgo: number, supportHurts: number, more = {}) =>
    of('refer', suggestionsFor([{ daysAgo: daysAgo + 3 }, { daysAgo, supportHurts }], more));

  test('refers each hand that it was in, and puts it on record', () => {
    const found = strong(1, 8);
    expect(found.map(({ key }) => key)).toEqual(['refer strong left', 'refer strong right']);
    expect(sentenceText(found[0]!.why)).toContain('Left hand: discomfort 8 of 10 in the last session.');
    expect(found[0]!.options[0].effect).toEqual({ kind: 'bar', hand: 'left', caution: 'strong-pain' });
  });

  test('does not from six of ten, once a week is over, or where the hand is on record', () => {
    expect(strong(1, 6)).toEqual([]);
    expect(strong(8, 8)).toEqual([]);
    const onRecord = { cautions: [{ caution: 'strong-pain', since: TODAY }], equipment: EQUIPMENT } as const;
    expect(strong(1, 8, { athlete: onRecord }).map(({ cause }) => cause)).toEqual(['on record']);
  });
});
