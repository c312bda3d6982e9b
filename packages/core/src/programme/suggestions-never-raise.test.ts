import { expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shippedMovement } from '../library/index.js';
import { amountOf, type Dose, setCount } from '../model/dose.js';
import type { Edit } from '../model/edits.js';
import type { RecordedCaution } from '../model/athlete.js';
import type { Suggestion } from '../rules/suggestions/index.js';
import { HANDS, handsWorking } from '../vocabulary/hands.js';
import { athleteSuggestions } from './athlete-suggestions.js';
import { asking, suggestionsFor, led, nextIn, planOf, SUPPORT, type Went } from './suggestions.fixture.js';
import { runs } from '../properties.fixture.js';

const LEVELS = ['all-fours', 'knees-back', 'plank'];
const DOSES = ['2x15s rest40', '2x30s rest40', '3x20s rest40'];
const score = fc.integer({ min: 0, max: 10 });
const went: fc.Arbitrary<Omit<Went, 'daysAgo'>> = fc.record({
  plan: fc.tuple(fc.constantFrom(...LEVELS), fc.constantFrom(...DOSES)).map(([level, dose]) => planOf(level, dose)),
  discomfort: fc.integer({ min: 0, max: 3 }),
  supportHurts: fc.oneof({ weight: 4, arbitrary: fc.integer({ min: 0, max: 2 }) }, score),
  exertion: fc.integer({ min: 3, max: 10 }),
  mornings: fc.option(fc.record({ left: score, right: score }), { nil: null }),
  share: fc.constantFrom(1, 1, 1, 0.5),
  supportFaults: fc.subarray(['Held breath', 'Index knuckle lifts']),
});
/** One every two days, the last of them yesterday. */
const histories = fc
  .array(went, { minLength: 1, maxLength: 6 })
  .map((all) => all.map((one, index): Went => ({ ...one, daysAgo: 1 + 2 * (all.length - 1 - index) })));
const barring = fc.constantFrom<RecordedCaution>(
  { caution: 'numbness', hand: 'left' },
  { caution: 'rest-pain' },
  { caution: 'stop-sign', hand: 'right', since: '2026-06-08', stopped: { sessionId: 's1', sign: 'numbness' } },
);

/** Whether an edit asks more of a block than its plan does: a level further up, or more at the same one. */
function raises(edit: Edit, plan = planOf()): boolean {
  if (edit.kind !== 'change') return edit.kind === 'add';
  const block = plan.blocks.find(({ id }) => id === edit.blockId)!;
  // Another movement is another question: the checks of safety keep it from barred hands.
  if (edit.movementId !== undefined && edit.movementId !== block.movementId) return false;
  const indexOf = (id: string) => shippedMovement(block.movementId)!.ladder.findIndex((level) => level.id === id);
  const climb = indexOf(edit.levelId ?? block.levelId) - indexOf(block.levelId);
  return climb > 0 || (climb === 0 && edit.dose !== undefined && isProgression(edit.dose, block.dose));
}
const isProgression = (dose: Dose, than: Dose) =>
  setCount(dose) * amountOf(dose.work) > setCount(than) * amountOf(than.work) || (dose.effortPercent ?? 0) > (than.effortPercent ?? 0);
const editsOf = ({ options }: Suggestion): readonly Edit[] =>
  options.flatMap(({ effect }) => (effect.kind === 'blocks' ? effect.plans.flatMap(({ edits }) => edits) : []));

test('while a stop or a referral stands, no option of any suggestion asks more of that hand', () => {
  fc.assert(
    fc.property(histories, barring, fc.constantFrom(...LEVELS), (all, entry, level) => {
      const plan = planOf(level);
      const barred = entry.hand === undefined || entry.hand === 'both' ? HANDS : [entry.hand];
      const more = {
        programmes: [nextIn(1, plan, { steps: 1, each: 'session' })],
        athlete: { cautions: [entry], equipment: [] },
      };
      const { suggestions, coming } = athleteSuggestions(asking(all, more));
      // What grows by itself is compared with as it would have grown.
      const planned = coming[0]!.sequence;
      expect(suggestions.some(({ kind }) => kind === 'refer')).toBe(true);
      const raising = suggestions.flatMap(editsOf).filter((edit) => raises(edit, planned));
      const hands = raising.flatMap((edit) =>
        handsWorking(plan.blocks.find((block) => 'blockId' in edit && block.id === edit.blockId)!.dose.sides),
      );
      expect(hands.filter((hand) => barred.includes(hand))).toEqual([]);
    }),
    runs(150),
  );
});

test('nor while pain grows from morning to morning, though nothing is on record', () => {
  const clean = [{ daysAgo: 7 }, { daysAgo: 4 }, { daysAgo: 1 }];
  const growing = clean.map((one, index) => ({ ...one, mornings: { left: index + 1, right: 0 } }));
  const raisingIn = (all: readonly Went[]) =>
    suggestionsFor(all)
      .flatMap(editsOf)
      .filter((edit) => raises(edit, planOf()));
  expect(raisingIn(clean).length).toBeGreaterThan(0);
  expect(raisingIn(growing)).toEqual([]);
});

test('what grows by itself is held where the last session asks to hold', () => {
  const rising = nextIn(1, planOf(), { steps: 1, each: 'session' });
  const hold = suggestionsFor([{ daysAgo: 1, supportHurts: 3 }], { programmes: [rising] }).find(({ kind }) => kind === 'hold');
  const [stay] = hold?.options ?? [];
  expect(stay?.words).toContain('no automatic increase');
  expect(stay?.effect).toMatchObject({ kind: 'blocks' });
  expect(led([{ daysAgo: 1 }])[0]!.plan.blocks[2]).toMatchObject({ movementId: SUPPORT });
});
