import { say, type Sentence, joinSentences } from '../../vocabulary/sentence.js';
import { groupedBy } from '../../vocabulary/lists.js';
import { counted } from '../../vocabulary/text.js';
import { AWAY_DAYS } from './attention-needed.js';
import { type Suggestion, SUGGESTIONS, worstFirst } from './suggestion.js';

/** A suggestion of somebody. */
export type SuggestionOf = Suggestion & { readonly athleteId: string; readonly athleteName: string };

/** Suggestions for one athlete with one cause: shown, and answered, together. */
export interface SuggestionGroup<C extends SuggestionOf = SuggestionOf> {
  /** The same for as long as its suggestions are about the same. */
  readonly id: string;
  readonly suggestions: readonly [C, ...C[]];
}

/** Suggestions by athlete, kind and cause, the gravest first. */
export function suggestionGroups<C extends SuggestionOf>(suggestions: readonly C[]): SuggestionGroup<C>[] {
  const groups = groupedBy(suggestions, ({ athleteId, kind, cause }) => `${athleteId} ${kind} ${cause}`);
  return [...groups]
    .map(([id, mine]) => ({ id, suggestions: mine as [C, ...C[]] }))
    .sort(
      (a, b) => worstFirst(a.suggestions[0], b.suggestions[0]) || a.suggestions[0].athleteName.localeCompare(b.suggestions[0].athleteName),
    );
}

/** What a group is about, in a line. */
export function groupWords({ suggestions }: SuggestionGroup): Sentence {
  const [first, ...others] = suggestions;
  if (others.length === 0) return first.why;
  const of = counted(suggestions.length, 'movement');
  if (first.kind === 'progress') return say`${of} done cleanly: ready for more.`;
  if (first.cause === 'away') return say`${counted(AWAY_DAYS, 'day')} or more without training: ${SUGGESTIONS.ease.words}, for ${of}.`;
  if (first.cause === 'morning') return say`A worse next-day check: ${SUGGESTIONS.ease.words}, for ${of}.`;
  if (first.cause === 'form' && first.kind === 'hold') return say`Form broke down in ${of}: repeat unchanged, with a fresh set-up.`;
  return joinSentences(suggestions.map(({ why }) => why));
}

/** Whether a suggestion repeats a restriction on record, rather than proposing a new one. */
export const isOnRecord = ({ kind, options: [proposed] }: Pick<Suggestion, 'kind' | 'options'>): boolean =>
  kind === 'refer' && proposed.effect.kind !== 'bar';
