import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { parseDose } from '../../model/dose-shorthand.js';
import { hasGrown, moreIn } from './asks-more.js';

const more = (dose: string, than: string) => moreIn(parseDose(dose), parseDose(than));

describe('in what a dose asks for more', () => {
  test.each([
    ['2x20s', '2x15s', 'more work in total'],
    ['1x30s', '2x15s', 'more in one set'],
    ['2x15s,1x5s', '2x15s', 'more work in total'],
    ['3x5 @60% 3s', '3x5 @50% 3s', 'more effort'],
    ['3x5 @50% 3s', '3x5 3s', 'more effort'],
    ['3x5 5s', '3x5 3s', 'a longer hold'],
    ['3x5 tempo3-3', '3x5 tempo2-2', 'a slower tempo'],
    ['2x15s rest20', '2x15s rest40', 'less rest'],
    ['2x15s L,R', '2x15s L', 'more hands'],
    ['3x8 6kg', '3x8 5kg', 'more weight'],
    ['3x8 wedge20', '3x8', 'another set-up'],
    // The level's own weight may be more than the one that is planned.
    ['3x8', '3x8 2kg', 'a different weight'],
    ['3x5 3s', '3x5 @40% 3s', 'no set effort'],
    ['3x5', '3x5 tempo1-1', 'a different tempo'],
    ['2xmax15s', '2x15s', 'an open end'],
    ['2x8', '2x15s', 'a different kind of work'],
  ])('%s beside %s: %s', (dose, than, words) => expect(more(dose, than)).toBe(words));

  test.each([
    ['2x15s', '2x15s'],
    ['1x15s', '2x15s'],
    ['3x10s rest60', '2x15s rest40'],
    ['3x5 @40% 3s', '3x5 @50% 3s'],
    ['2x15s L', '2x15s L,R'],
    ['3x8 4kg', '3x8 5kg'],
  ])('%s beside %s: nothing', (dose, than) => expect(more(dose, than)).toBeNull());

  test('of two doses that differ in amount one asks for more, and it is the one that has grown', () => {
    const doses = fc
      .tuple(fc.integer({ min: 1, max: 6 }), fc.integer({ min: 1, max: 60 }))
      .map(([sets, seconds]) => parseDose(`${sets}x${seconds}s`));
    fc.assert(
      fc.property(doses, doses, (one, other) => {
        if (hasGrown(one, other)) expect(moreIn(one, other)).not.toBeNull();
        // What asks for nothing more either way is the same amount.
        if (moreIn(one, other) === null && moreIn(other, one) === null) expect(hasGrown(one, other)).toBe(false);
      }),
    );
  });
});
