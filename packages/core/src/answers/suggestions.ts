import type { Method } from '../model/method.js';
import type { Movement } from '../model/movement.js';
import type { Programme } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { athleteSuggestions, type AthleteSuggestionsQuestion, type ReportedSession } from '../programme/athlete-suggestions.js';
import type { Suggestion } from '../rules/suggestions/suggestion.js';
import type { AssignedSequence } from '../programme/coming.js';
import type { ComingPlan } from '../rules/suggestions/question.js';
import { methodOf } from '../library/methods.js';
import { libraryWith } from '../library/index.js';
import { personIn, type SubjectWork } from './subject.js';

/** Everything that suggestions take, as plain data: for a thread of its own. */
export interface SuggestionsWork {
  readonly ownMovements: readonly { readonly removed: boolean; readonly document: Movement }[];
  readonly ownMethods: readonly { readonly removed: boolean; readonly document: Method }[];
  readonly sessions: readonly ReportedSession[];
  readonly programmes: readonly {
    readonly id: string;
    readonly programme: Programme;
    readonly sequences: readonly (readonly [planId: string, sequence: Sequence])[];
  }[];
  readonly assigned: readonly AssignedSequence[];
  readonly replacedBy: readonly (readonly [sequenceId: string, ownId: string])[];
  readonly subject: SubjectWork;
  readonly athlete: AthleteSuggestionsQuestion['athlete'];
  readonly measuredOn: string | null;
  readonly now: string;
  readonly today: string;
}

/** A plan that comes next, without its sequence. */
export type ComingBrief = Pick<ComingPlan, 'place' | 'day' | 'loads'>;

/** What is proposed, and the plans that it would change. */
export interface SuggestionsAnswer {
  suggestions: Suggestion[];
  coming: ComingBrief[];
}

/** Finds suggestions away from the event loop. */
export function answerSuggestions({
  ownMovements,
  ownMethods,
  programmes,
  replacedBy,
  subject,
  ...work
}: SuggestionsWork): SuggestionsAnswer {
  const library = libraryWith(ownMovements, ownMethods);
  const { suggestions, coming } = athleteSuggestions({
    ...work,
    person: personIn(subject, library.movement),
    programmes: programmes.map(({ sequences, ...rest }) => ({ ...rest, sequences: new Map(sequences) })),
    replacedBy: new Map(replacedBy),
    lookup: library.movement,
    shelf: library.shelf,
    methodOf: (plan) => methodOf(plan, library.method),
  });
  return { suggestions: [...suggestions], coming: coming.map(({ place, day, loads }) => ({ place, day, loads })) };
}
