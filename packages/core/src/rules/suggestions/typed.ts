import { checkDose } from '../../model/check-dose.js';
import { type Dose } from '../../model/dose.js';
import { joinSentences, uniqueSentences } from '../../vocabulary/sentence.js';
import type { ChangeEdit, Edit } from '../../model/edits.js';
import { checkFit } from '../../model/fit.js';
import { findLevel, type MovementLookup } from '../../model/movement.js';
import { type Fault, under } from '../../vocabulary/fault.js';
import { handsWorking } from '../../vocabulary/hands.js';
import { firstOf, isSome } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import { moreIn } from '../doses/asks-more.js';
import { blockChange } from '../fixes/edit-words.js';
import type { Suggestion, SuggestionOption, TypedDose } from './suggestion.js';
import type { SuggestionScene } from './question.js';

/** Lets the dose of an option be typed where it is one movement at one level. Nothing but a suggestion for more may ask for more than is planned, and that of no barred hand. */
export function withTyping(scene: SuggestionScene, suggestion: Suggestion): Suggestion {
  const [first, ...others] = suggestion.options.map((option): SuggestionOption => {
    const typed = typedOf(scene, suggestion, option);
    return typed ? { ...option, typed } : option;
  });
  return first ? { ...suggestion, options: [first, ...others] } : suggestion;
}

function typedOf({ coming, barred }: SuggestionScene, { kind }: Suggestion, { effect }: SuggestionOption): TypedDose | null {
  if (effect.kind !== 'blocks') return null;
  const changes = effect.plans.flatMap(({ place, edits }) =>
    edits.map((edit) => ({
      edit,
      block: coming
        .find((plan) => same<unknown>(plan.place, place))
        ?.sequence.blocks.find(({ id }) => 'blockId' in edit && id === edit.blockId),
    })),
  );
  const all = changes.flatMap(({ edit, block }) =>
    block && isDosed(edit) ? [{ block, dose: edit.dose, levelId: edit.levelId ?? block.levelId }] : [],
  );
  if (!isSome(all) || all.length < changes.length) return null;
  const { block, levelId, dose } = firstOf(all);
  const isOne = all.every(
    (each) => each.block.movementId === block.movementId && each.levelId === levelId && each.dose.work.kind === dose.work.kind,
  );
  if (!isOne) return null;
  const hands = all.flatMap((each) => handsWorking(each.dose.sides));
  return {
    movementId: block.movementId,
    levelId,
    dose,
    planned: all.map((each) => ({ levelId: each.block.levelId, dose: each.block.dose })),
    noMore: kind !== 'progress' || hands.some((hand) => barred.has(hand)),
  };
}

/** A change of the dose, at this level or another, of the same movement. */
type Dosed = ChangeEdit & { readonly dose: Dose };
const isDosed = (edit: Edit): edit is Dosed => edit.kind === 'change' && edit.dose !== undefined && edit.movementId === undefined;

/** What is wrong with a dose that was typed for an option; pointers begin at `/dose`. */
export function checkTyped({ movementId, levelId, dose, planned, noMore }: TypedDose, typed: Dose, lookup: MovementLookup): Fault[] {
  const movement = lookup(movementId);
  const level = movement && findLevel(movement, levelId);
  if (!movement || !level) return [{ pointer: '/dose', message: 'is for a level that no longer exists' }];
  const faults = [...under('/dose', checkDose(typed)), ...checkFit(typed, movement, level)];
  if (typed.sides !== dose.sides) faults.push({ pointer: '/dose/sides', message: 'must keep the planned hands' });
  if (!noMore) return faults;
  const more = planned.flatMap((each) => moreIn(typed, each.dose) ?? []);
  // An easier level has a dose of its own: what is proposed at it may be had.
  if (isSome(more) && moreIn(typed, dose) !== null) {
    faults.push({ pointer: '/dose', message: `asks for ${firstOf(more)} than planned, which this suggestion doesn’t allow` });
  }
  return faults;
}

/** An option with the dose that was typed; each block keeps its hands. */
export function withTypedDose(option: SuggestionOption, typed: Dose, lookup: MovementLookup): SuggestionOption {
  const { effect, typed: of } = option;
  if (effect.kind !== 'blocks' || !of) return option;
  const plans = effect.plans.map(({ place, edits }) => ({
    place,
    edits: edits.map((edit) => (isDosed(edit) ? { ...edit, dose: { ...typed, sides: edit.dose.sides } } : edit)),
  }));
  const { movementId, levelId } = of;
  const words = of.planned.flatMap((each) =>
    blockChange({ movementId, ...each }, { movementId, levelId, dose: { ...typed, sides: each.dose.sides } }, lookup),
  );
  const { chance: _chance, ...rest } = option;
  return {
    ...rest,
    effect: { kind: 'blocks', plans },
    words: words.length > 0 ? joinSentences(uniqueSentences(words), '; ') : 'Unchanged',
  };
}
