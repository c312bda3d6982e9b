import { describe, expect, test } from '@jest/globals';
import { parseDose } from './dose-shorthand.js';
import type { Round } from './round.js';
import { roundChanges, roundChangeWords, roundWords } from './round-words.js';
import { type Sequence, USUAL_PACING } from './sequence.js';

const block = (id: string) => ({ id, phase: 'load' as const, movementId: id, levelId: 'x', dose: parseDose('1x8') });
const ROUND: Round = { id: 'r', blockIds: ['a', 'b'], times: 3, restS: 60 };
const sequence = (ids: string, ...rounds: Round[]): Sequence => ({
  ...{ title: '', purpose: '', budgetMin: 10, pacing: USUAL_PACING, rounds },
  blocks: [...ids].map(block),
});
const changes = (before: Sequence, after: Sequence) => roundChanges(before, after, ({ id }) => id.toUpperCase());

describe('rounds in words', () => {
  test.each([
    [{ fasterPercent: -10 }, '10 % slower each round'],
    [{ morePercent: 50, levels: 2 }, '50 % more, 2 levels up each round'],
    [{ levels: -1 }, 'a level down each round'],
    [{ fasterPercent: 0 }, ''],
  ])('%j', (change, words) => expect(roundChangeWords(change)).toBe(words));

  test('without rest or change they are only counted', () => {
    expect(roundWords({ ...ROUND, restS: 0, change: { fasterPercent: 0 } })).toBe('3 rounds');
  });
});

describe('what became of rounds', () => {
  test.each<[string, Sequence, Sequence, string[]]>([
    ['alike', sequence('ab', ROUND), sequence('ab', ROUND), []],
    ['new', sequence('ab'), sequence('ab', ROUND), ['In rounds: A, B, 3 rounds, 60 s rest between']],
    ['gone', sequence('ab', ROUND), sequence('ab'), ['No longer in rounds: A, B']],
    ['out with its blocks', sequence('abc', ROUND), sequence('c'), []],
    [
      'more of them',
      sequence('ab', ROUND),
      sequence('ab', { ...ROUND, times: 4 }),
      ['Rounds of A, B: 3 rounds, 60 s rest between → 4 rounds, 60 s rest between'],
    ],
    [
      'of another block too',
      sequence('abc', ROUND),
      sequence('abc', { ...ROUND, blockIds: ['a', 'b', 'c'] }),
      ['Rounds of A, B → of A, B, C'],
    ],
  ])('%s', (_what, before, after, lines) => expect(changes(before, after)).toEqual(lines));
});
