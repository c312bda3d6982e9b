import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedMovement } from '../library/index.js';
import type { RecordedCaution } from '../model/athlete.js';
import { amountOf, type Dose } from '../model/dose.js';
import { parseDose, retypeDose } from '../model/dose-shorthand.js';
import { type SuggestionKind, type SuggestionOption, checkTyped, withTypedDose } from '../rules/suggestions/index.js';
import { must } from '../vocabulary/lists.js';
import { suggestionsFor, nextIn, of, planOf, SUPPORT, type Went } from './suggestions.fixture.js';
import { runs } from '../properties.fixture.js';

const CLEAN: readonly Went[] = [{ daysAgo: 7 }, { daysAgo: 2 }];
/** The proposed option about the support. */
const proposed = (
  kind: SuggestionKind,
  all: readonly Went[],
  more: Parameters<typeof suggestionsFor>[1] = { programmes: [nextIn(1)] },
): SuggestionOption =>
  must(
    of(kind, suggestionsFor(all, more)).find(({ movementId }) => movementId === SUPPORT),
    kind,
  ).options[0];
const typing = ({ typed }: SuggestionOption, text: string) => {
  const of = must(typed, 'a dose that may be typed');
  const dose = retypeDose(text, of.dose);
  return { dose, faults: checkTyped(of, dose, shippedMovement) };
};

describe('a dose that is typed in a suggestion', () => {
  const progress = proposed('progress', CLEAN);

  test('takes the place of the proposed one, in words and in what changes', () => {
    const { dose, faults } = typing(progress, '3x18s');
    expect(faults).toEqual([]);
    const typed = withTypedDose(progress, dose, shippedMovement);
    expect(typed.words).toBe('Palm support: 2 sets of 15 s → 3 sets of 18 s');
    expect(typed.effect).toMatchObject({
      kind: 'blocks',
      plans: [{ edits: [{ kind: 'change', dose: { sets: 3, work: { seconds: 18 } } }] }],
    });
    expect(typed.chance).toBeUndefined();
  });

  test('of another level tells the level too', () => {
    const up = proposed(
      'progress',
      [7, 2].map((daysAgo) => ({ daysAgo, plan: planOf('all-fours', '2x30s rest40') })),
      { programmes: [nextIn(1, planOf('all-fours', '2x30s rest40'))] },
    );
    const { dose } = typing(up, '2x12s');
    expect(withTypedDose(up, dose, shippedMovement).words).toMatch(/^Palm support: all fours → .*2 sets of 30 s → 2 sets of 12 s/);
  });

  test('is refused where the movement is not dosed so, or other hands are meant', () => {
    expect(typing(progress, '2x20m').faults).toMatchObject([{ pointer: '/dose/work/kind' }]);
    const { typed } = progress;
    expect(checkTyped(typed!, { ...typed!.dose, sides: 'left' }, shippedMovement).map(({ pointer }) => pointer)).toContain('/dose/sides');
  });

  test('an ease may be typed, and asks for no more than is planned', () => {
    const ease = proposed('ease', [{ daysAgo: 7 }, { daysAgo: 2, supportHurts: 6 }]);
    expect(typing(ease, '1x12s').faults).toEqual([]);
    expect(typing(ease, '2x20s').faults).toMatchObject([
      { pointer: '/dose', message: expect.stringContaining('more work in total than planned') },
    ]);
    expect(typing(ease, '2x12s rest10').faults).toMatchObject([{ message: expect.stringContaining('less rest') }]);
  });

  test('another movement is taken as it is proposed', () => {
    const swap = proposed('swap', [{ daysAgo: 8, supportHurts: 5 }, { daysAgo: 7 }, { daysAgo: 2, supportHurts: 6 }]);
    expect(swap.typed).toBeUndefined();
  });
});

const secondsIn = (dose: Dose): number => dose.sets * amountOf(dose.work);

test('while a stop stands, no dose can be typed that asks more of that hand', () => {
  const entry: RecordedCaution = {
    caution: 'stop-sign',
    hand: 'left',
    since: '2026-06-08',
    stopped: { sessionId: 's1', sign: 'numbness' },
  };
  const dose = fc
    .tuple(fc.integer({ min: 1, max: 5 }), fc.integer({ min: 1, max: 60 }), fc.integer({ min: 0, max: 90 }))
    .map(([sets, seconds, rest]) => parseDose(`${sets}x${seconds}s rest${rest}`));
  const hurt: fc.Arbitrary<readonly Went[]> = fc
    .tuple(fc.integer({ min: 0, max: 8 }), fc.integer({ min: 0, max: 8 }))
    .map(([one, other]) => [
      { daysAgo: 5, supportHurts: one },
      { daysAgo: 2, supportHurts: other, supportFaults: ['Held breath'] },
    ]);
  let typedCount = 0;
  fc.assert(
    fc.property(hurt, dose, (all, typed) => {
      const suggestions = suggestionsFor(all, { programmes: [nextIn(1)], athlete: { cautions: [entry], equipment: [] } });
      for (const option of suggestions.flatMap(({ options }) => options)) {
        if (option.typed?.movementId !== SUPPORT) continue;
        const { planned, dose: its } = option.typed;
        const most = Math.max(...[...planned.map((each) => each.dose), its].map(secondsIn));
        const isProgression = secondsIn(typed) > most;
        const faults = checkTyped(option.typed, { ...typed, sides: its.sides }, shippedMovement);
        if (isProgression) {
          typedCount++;
          expect(faults.length).toBeGreaterThan(0);
        }
      }
    }),
    runs(100),
  );
  expect(typedCount).toBeGreaterThan(5);
});
