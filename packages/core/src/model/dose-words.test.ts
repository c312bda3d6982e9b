import { describe, expect, test } from '@jest/globals';
import { shippedMovement } from '../library/index.js';
import { doseInWords, doseSentence } from './dose-words.js';
import { parseDose } from './dose-shorthand.js';
import { LIBRARY } from '../library/index.js';

const say = (movementId: string, text: string) => {
  const movement = shippedMovement(movementId)!;
  return doseSentence(parseDose(text), movement, movement.ladder[0]);
};

describe('a dose in an athlete’s words', () => {
  test.each([
    ['strength.palm-lift', '2x6 tempo1-3 rest40', /^2 sets of 6, \w+ 1 s, \w+ 3 s, rest 40 s between sets$/],
    ['stretch.flexors', '1x30s L,R', /^30 s, left, then right$/],
    ['stretch.flexors', '2x180s L', /^2 sets of 3 min, left hand only$/],
    ['settle.resting-breaths', '1x6br', /^6 slow breaths$/],
    ['free.wrist-circles', '1x4 <>', /^4 times, toward the thumb, then toward the little finger$/],
    ['isometric.extension', '1x5 @40% 4s R,L', /^5 times, right, then left, hold 4 s each, at 40 % of maximum$/],
  ])('%s %s', (movementId, text, words) => {
    expect(say(movementId, text)).toMatch(words);
  });

  test('of no level has anything of the shorthand in it', () => {
    for (const movement of LIBRARY) {
      for (const level of movement.ladder) {
        const { amount, how } = doseInWords(level.dose, movement, level);
        expect([amount, ...how].join(' ')).not.toMatch(/tempo|rest\d|[<>@]|\dx\d|undefined|NaN/);
      }
    }
  });
});
