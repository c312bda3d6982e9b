import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedMovement } from '../library/index.js';
import type { RecordedCaution } from '../model/athlete.js';
import { retypeDose } from '../model/dose-shorthand.js';
import { type SuggestionKind, type SuggestionOption, checkTyped, withTypedDose } from '../rules/suggestions/index.js';
import { must } from '../vocabulary/lists.js';
import { EQUIPMENT } from '../vocabulary/places.js';
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

test('while a stop stands, no dose at all is offered for a block that loads that hand', () => {
  const entry: RecordedCaution = {
    caution: 'stop-sign',
    hand: 'left',
    since: '2026-06-08',
    stopped: { sessionId: 's1', sign: 'numbness' },
  };
  const hurt: fc.Arbitrary<readonly Went[]> = fc
    .tuple(fc.integer({ min: 0, max: 8 }), fc.integer({ min: 0, max: 8 }))
    .map(([one, other]) => [
      { daysAgo: 5, supportHurts: one },
      { daysAgo: 2, supportHurts: other, supportFaults: ['Held breath'] },
    ]);
  const typedFor = (all: readonly Went[], cautions: readonly RecordedCaution[]) =>
    suggestionsFor(all, { programmes: [nextIn(1)], athlete: { cautions, equipment: EQUIPMENT } })
      .flatMap(({ options }) => options)
      .filter(({ typed }) => typed?.movementId === SUPPORT).length;
  let withoutStop = 0;
  fc.assert(
    fc.property(hurt, (all) => {
      withoutStop += typedFor(all, []);
      expect(typedFor(all, [entry])).toBe(0);
    }),
    runs(100),
  );
  expect(withoutStop).toBeGreaterThan(5);
});
