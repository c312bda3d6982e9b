import type { Edit } from '../../model/edits.js';
import { isSome } from '../../vocabulary/lists.js';
import { same } from '../../vocabulary/same.js';
import { type Judging, objectionsTo } from '../fixes/objections.js';
import type { ComingPlan, SuggestionScene } from './question.js';
import type { Suggestion, SuggestionOption } from './suggestion.js';

/** What asks for more is held against everything that is a fault; the rest only must not raise what stops a session. */
const judgingOf = ({ kind }: Suggestion): Judging => (kind === 'progress' ? { upTo: 'mend' } : { upTo: 'stop', mayStay: true });

/**
 * Suggestions with the options that may be proposed: each is held against the sequences that would result, and one that raises anything is left out; so is a
 * suggestion without options. What several suggestions propose for one plan is looked at together first, and one by one only where that raises something.
 */
export function gated(scene: SuggestionScene, suggestions: readonly Suggestion[]): Suggestion[] {
  const together = new Map<string, boolean>();
  const isClean = (suggestion: Suggestion, option: SuggestionOption): boolean => {
    const key = `${suggestion.kind} ${option.id}`;
    let clean = together.get(key);
    if (clean === undefined) {
      const alike = suggestions
        .filter((each) => each.kind === suggestion.kind && !isGentler(each))
        .flatMap(({ options }) => options.filter(({ id }) => id === option.id));
      together.set(key, (clean = mayBeProposed(scene, alike, judgingOf(suggestion))));
    }
    return clean || mayBeProposed(scene, [option], judgingOf(suggestion));
  };
  return suggestions.flatMap((suggestion): Suggestion[] => {
    if (isGentler(suggestion)) return [suggestion];
    const options = suggestion.options.filter((option) => option.effect.kind !== 'blocks' || isClean(suggestion, option));
    return isSome(options) ? [{ ...suggestion, options }] : [];
  });
}

/** Gentler forms of one movement: each was held against its sequence when it was found, more strictly than here. */
const isGentler = ({ kind, movementId }: Suggestion): boolean => movementId !== null && (kind === 'ease' || kind === 'swap');

/** Whether nothing stands against what these options make of the plans. */
function mayBeProposed({ coming, viewOf }: SuggestionScene, options: readonly SuggestionOption[], judging: Judging): boolean {
  return coming.every((plan) => {
    const edits = options.flatMap((option) => editsOf(option, plan));
    if (edits.length === 0) return true;
    const objections = objectionsTo(viewOf(plan.sequence), edits, judging);
    return objections.length === 0;
  });
}

const editsOf = ({ effect }: SuggestionOption, plan: ComingPlan): readonly Edit[] =>
  effect.kind === 'blocks' ? effect.plans.filter(({ place }) => same<unknown>(place, plan.place)).flatMap(({ edits }) => edits) : [];
