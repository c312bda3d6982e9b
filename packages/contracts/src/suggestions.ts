import { ANSWER_KINDS, type Suggestion, type SuggestionAnswerKind, type SuggestionKind, DOSE, type Dose, type Hand } from '@clay-pot/core';
import { IsInstant, IsText, IsWord } from './validation/fields.js';
import { IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

/** Bounds of an answer. */
export const SUGGESTION_LIMITS = { keyLength: 200, reasonLength: 400, optionLength: 40 } as const;

type GivenAnswer = Exclude<SuggestionAnswerKind, 'taken back'>;
const GIVEN_ANSWERS = ANSWER_KINDS.filter((kind) => kind !== 'taken back');

/** How a coach answers a suggestion: which one, on which evidence, and what is to be done. */
export class SuggestionAnswerInput {
  @IsText(SUGGESTION_LIMITS.keyLength, 1, 'Suggestion')
  readonly key: string;
  /** As the suggestion had it: what rests on other evidence is another suggestion. */
  @IsText(SUGGESTION_LIMITS.keyLength, 1, 'Evidence')
  readonly evidenceKey: string;
  @IsWord(GIVEN_ANSWERS, 'Answer')
  readonly answer: GivenAnswer;
  /** Of the suggestion’s options; its first where left out. */
  @OptionalField()
  @IsText(SUGGESTION_LIMITS.optionLength, 1, 'Option')
  readonly optionId?: string;
  /** Typed instead of the option’s own: each of the blocks that it changes gets it, and the hands stay. */
  @OptionalField()
  @IsDocument(DOSE)
  readonly dose?: Dose;
  /** Why; who declines says so. */
  @OptionalField()
  @IsText(SUGGESTION_LIMITS.reasonLength, 0, 'Reason')
  readonly reason?: string;
  @IsInstant()
  readonly at: string;
}

/** When an answer was taken back. */
export class SuggestionTakenBackInput {
  @IsInstant()
  readonly at: string;
}

/** A suggestion with whom it is for. */
export interface AthleteSuggestion extends Suggestion {
  athleteId: string;
  athleteName: string;
  /** The sequence that it changes when it is in no programme; else null. */
  sequenceId: string | null;
  /** Whether that sequence is assigned: accepting makes the person’s own version of it. */
  isAssigned: boolean;
}

/** What waits for an answer, over all athletes, the gravest first. */
export interface StudioSuggestions {
  suggestions: AthleteSuggestion[];
  /** Athletes who are still looked at: ask again. */
  toLookAt: number;
}

/** A suggestion that was answered. */
export interface AnsweredSuggestion {
  id: string;
  key: string;
  kind: SuggestionKind;
  hands: Hand[];
  /** In the words that it was answered in. */
  why: string;
  answer: SuggestionAnswerKind;
  /** What was chosen, in the words of the option; empty where it was declined. */
  words: string;
  reason: string;
  /** The session that it followed from. */
  sessionId: string | null;
  /** The programme that it changed, where it changed one. */
  programmeId: string | null;
  /** The person’s own version of a sequence, where it made one. */
  sequenceId: string | null;
  at: string;
}

/** What waits for an answer of one athlete, and what was answered, the latest first. */
export interface SuggestionsOfAthlete {
  open: AthleteSuggestion[];
  answered: AnsweredSuggestion[];
}
