import type { Sentence } from '../../vocabulary/sentence.js';
import type { Dose } from '../../model/dose.js';
import type { Edit } from '../../model/edits.js';
import type { Hand } from '../../vocabulary/hands.js';

/** What may be proposed for an athlete, the gravest first. */
export const SUGGESTIONS = {
  refer: { label: 'Refer', words: 'to a doctor or hand therapist; no load until cleared' },
  rest: { label: 'Rest', words: 'extra days before the next loading session' },
  ease: { label: 'Ease off', words: 'go back a level, or do less' },
  swap: { label: 'Swap', words: 'another movement for the same purpose' },
  'measure again': { label: 'Test', words: 'known values are old or don’t fit' },
  hold: { label: 'Keep', words: 'stay at the current level' },
  progress: { label: 'Progress', words: 'do more, or the next level' },
} as const;
/** A kind of suggestion. */
export type SuggestionKind = keyof typeof SUGGESTIONS;
/** All kinds, the gravest first. */
export const SUGGESTION_KINDS = Object.keys(SUGGESTIONS) as SuggestionKind[];

/** Something that a suggestion rests on, to be opened: a session, the readings, or what is on record. */
export interface SuggestionEvidence {
  readonly of: 'session' | 'readings' | 'record';
  /** Of the session. */
  readonly sessionId?: string;
  /** ISO day. */
  readonly onDay: string;
  readonly text: Sentence;
}

/** Where a sequence that comes next stands: in a plan of a programme, or by itself. */
export type PlanPlace =
  | { readonly programmeId: string; readonly planId: string; readonly sequenceId: string }
  | { readonly programmeId: null; readonly sequenceId: string };

/** Changes of blocks of one sequence: that of a programme’s plan, or what was led last where there is no programme. */
export interface PlanEdits {
  readonly place: PlanPlace;
  readonly edits: readonly Edit[];
}

/** Pain that an answer puts on record: it grows, or it is strong. */
export const BARRING_PAIN = ['rest-pain', 'strong-pain'] as const;
/** Pain that an answer puts on record. */
export type BarringPain = (typeof BARRING_PAIN)[number];

/** What becomes of the programme, or of the record, when an option is chosen. */
export type SuggestionEffect =
  | { readonly kind: 'blocks'; readonly plans: readonly PlanEdits[] }
  /** The next session that loads is so many days later. */
  | { readonly kind: 'later'; readonly days: number }
  /** The next session that loads is left out. */
  | { readonly kind: 'skip' }
  /** Pain goes on record, and bars the hand until a practitioner has cleared it. */
  | { readonly kind: 'bar'; readonly hand: Hand; readonly caution: BarringPain }
  | { readonly kind: 'as it is' };

/** What may be typed of an option: the dose of one movement at one level. */
export interface TypedDose {
  readonly movementId: string;
  readonly levelId: string;
  /** As the option has it. */
  readonly dose: Dose;
  /** As it is planned, of each block that changes. */
  readonly planned: readonly { readonly levelId: string; readonly dose: Dose }[];
  /** Whether it may not ask for more than is planned. */
  readonly noMore: boolean;
}

/** One of the things that a coach may choose, the proposed one first. */
export interface SuggestionOption {
  /** Stays the same for as long as the suggestion does. */
  readonly id: string;
  /** Exactly what changes. */
  readonly words: Sentence;
  /** Each change, where the words only count them. */
  readonly changes?: readonly Sentence[];
  readonly effect: SuggestionEffect;
  /** How likely all that it changes would be carried to its end, 0–1, where that can be said. */
  readonly chance?: number;
  /** Where a dose may be typed instead of the one that it has. */
  readonly typed?: TypedDose;
}

/** A decision that is proposed, with its reasons: the coach decides. */
export interface Suggestion {
  /** What it is about: the same while it is about the same. */
  readonly key: string;
  readonly kind: SuggestionKind;
  /** Suggestions with one cause are shown together. */
  readonly cause: string;
  readonly hands: readonly Hand[];
  readonly movementId: string | null;
  /** The rule with what it found, in a sentence. */
  readonly why: Sentence;
  /** The newest first. */
  readonly evidence: readonly SuggestionEvidence[];
  /** Another one with more, or other, evidence: what was declined comes back only then. */
  readonly evidenceKey: string;
  /** The session that it follows from, where it is one. */
  readonly sessionId: string | null;
  /** The proposed one first. */
  readonly options: readonly [SuggestionOption, ...SuggestionOption[]];
}

/** Nothing changes. */
export const AS_IT_IS = { kind: 'as it is' } as const satisfies SuggestionEffect;

/** The gravest first; of one kind what is newest. */
export const worstFirst = (one: Pick<Suggestion, 'kind' | 'evidence'>, other: Pick<Suggestion, 'kind' | 'evidence'>): number =>
  SUGGESTION_KINDS.indexOf(one.kind) - SUGGESTION_KINDS.indexOf(other.kind) ||
  (other.evidence[0]?.onDay ?? '').localeCompare(one.evidence[0]?.onDay ?? '');
