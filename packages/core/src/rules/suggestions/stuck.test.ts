import { describe, expect, test } from '@jest/globals';
import { sentenceText } from '../../vocabulary/sentence.js';
import { write } from '../checks/sessions.fixture.js';
import { athleteSuggestions } from '../../programme/athlete-suggestions.js';
import { asking, led, nextIn, planOf, suggestionsFor, SUPPORT, type Went } from '../../programme/suggestions.fixture.js';

const every = (days: number, count: number, went: Omit<Went, 'daysAgo'>): Went[] =>
  Array.from({ length: count }, (_, index) => ({ ...went, daysAgo: 1 + days * (count - 1 - index) }));
const causes = (all: readonly Went[], plan = planOf()) =>
  suggestionsFor(all, { programmes: [nextIn(1, plan)] }).map(({ cause, movementId }) => `${cause} ${movementId ?? ''}`);

describe('what stands still', () => {
  test('six sessions at effort 8 without progress ask for less; five, or easier ones, do not', () => {
    const hard = every(3, 6, { exertion: 8, discomfort: 1 });
    expect(causes(hard)).toContain(`plateau ${SUPPORT}`);
    expect(causes(every(3, 5, { exertion: 8, discomfort: 1 }))).not.toContain(`plateau ${SUPPORT}`);
    expect(causes(every(3, 6, { exertion: 6, discomfort: 1 })).join()).not.toContain('plateau');
    const [plateau] = suggestionsFor(hard, { programmes: [nextIn(1)] }).filter(({ key }) => key === `plateau ${SUPPORT}`);
    expect(sentenceText(plateau!.why)).toContain('in 6 sessions without progress');
    expect(plateau!.kind).toBe('ease');
  });
});

describe('a hand that stays behind', () => {
  const SQUEEZE = 'grip.ball-squeeze';
  const plan = write([
    ['prepare', 'free.wrist-circles', 'free-fist', '1x10'],
    ['strength', SQUEEZE, 'soft', '2x8 @40% 3s R,L'],
  ]);
  /** So many sessions in which the left hand did so many of eight squeezes. */
  const uneven = (count: number, leftCount: number) => {
    const sessions = led(every(3, count, { plan, exertion: 6, discomfort: 0 })).map((session) => ({
      ...session,
      sets: session.sets.map((set) => (set.side === 'left' ? { ...set, doneAmount: Math.min(leftCount, set.plannedAmount) } : set)),
    }));
    return athleteSuggestions(asking([], { sessions, programmes: [nextIn(1, plan)] })).suggestions.find(
      ({ cause }) => cause === `uneven ${SQUEEZE}`,
    );
  };

  test('under four fifths of the other’s work in six sessions: it goes first while it is fresh', () => {
    const found = uneven(6, 6)!;
    expect(sentenceText(found.why)).toContain('the left hand did 75 % of the other’s work in 6 sessions');
    expect(found.hands).toEqual(['left']);
    expect(found.options.map(({ id }) => id)).toContain('weaker first');
    expect(sentenceText(found.options[0].words)).toContain('left then right');
  });

  test('not after five sessions, nor where both do about the same', () => {
    expect(uneven(5, 6)).toBeUndefined();
    expect(uneven(6, 7)).toBeUndefined();
  });
});
