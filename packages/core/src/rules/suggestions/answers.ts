import type { Suggestion } from './suggestion.js';

/** How a coach answers a suggestion. */
export const ANSWERS = {
  accepted: 'Accepted',
  changed: 'Accepted with changes',
  declined: 'Declined',
  'taken back': 'Undone',
} as const;
/** How a coach answered a suggestion. */
export type SuggestionAnswerKind = keyof typeof ANSWERS;
/** All answers. */
export const ANSWER_KINDS = Object.keys(ANSWERS) as SuggestionAnswerKind[];

/** An answer, as far as being asked again goes. */
export interface SuggestionAnswered {
  readonly key: string;
  readonly evidenceKey: string;
  readonly answer: SuggestionAnswerKind;
}

/** The suggestions that wait for an answer: an answered one comes back only with new evidence. @param answers in the order in which they were given */
export function openSuggestions<C extends Pick<Suggestion, 'key' | 'evidenceKey'>>(
  suggestions: readonly C[],
  answers: readonly SuggestionAnswered[],
): C[] {
  return suggestions.filter(({ key, evidenceKey }) => {
    const last = answers.findLast((answer) => answer.key === key && answer.evidenceKey === evidenceKey);
    return last === undefined || last.answer === 'taken back';
  });
}

/** Whether a suggestion is about a restriction on record: a clearance answers it. */
export const mayDecline = ({ kind }: Pick<Suggestion, 'kind'>): boolean => kind !== 'refer';
