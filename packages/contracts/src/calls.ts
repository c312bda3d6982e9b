import {
  ANSWER_KINDS,
  athleteCalls,
  type Call,
  type CallAnswerKind,
  type CallKind,
  type ComingPlan,
  DOSE,
  type Hand,
  instant,
  type Method,
  type Movement,
  type Of,
  oneOf,
  optional,
  type Person,
  type Programme,
  record,
  type RecordedCaution,
  type Sequence,
  text,
  type ToldLedSession,
  type Equipment,
} from '@clay-pot/core';
import { knownWith, methodOf } from '@clay-pot/core/library';

/** Bounds of an answer. */
export const CALL_LIMITS = { keyLength: 200, reasonLength: 400, optionLength: 40 } as const;

const GIVEN_ANSWERS = ANSWER_KINDS.filter((kind) => kind !== 'taken back');

/** How a coach answers a call: which one, on which evidence, and what is to be done. */
export const CALL_ANSWER_INPUT = record({
  key: text(CALL_LIMITS.keyLength, 1, 'Call'),
  /** As the call had it: what rests on other evidence is another call. */
  evidenceKey: text(CALL_LIMITS.keyLength, 1, 'Evidence'),
  answer: oneOf(GIVEN_ANSWERS, 'Answer'),
  /** Of the call’s options; its first where left out. */
  optionId: optional(text(CALL_LIMITS.optionLength, 1, 'Option')),
  /** Typed instead of the option’s own: each of the blocks that it changes gets it, and the hands stay. */
  dose: optional(DOSE),
  /** Why; who declines says so. */
  reason: optional(text(CALL_LIMITS.reasonLength, 0, 'Reason')),
  at: instant(),
});
/** How a coach answers a call. */
export type CallAnswerInput = Of<typeof CALL_ANSWER_INPUT>;

/** When an answer was taken back. */
export const CALL_TAKEN_BACK_INPUT = record({ at: instant() });
/** When an answer was taken back. */
export type CallTakenBackInput = Of<typeof CALL_TAKEN_BACK_INPUT>;

/** A call with whom it is for. */
export interface AthleteCall extends Call {
  athleteId: string;
  athleteName: string;
  /** The sequence that it changes where it stands in no programme; null where there is none. */
  sequenceId: string | null;
}

/** What waits for an answer, over all athletes, the gravest first. */
export interface StudioCalls {
  calls: AthleteCall[];
  /** Athletes who are still looked at: ask again. */
  toLookAt: number;
}

/** A call that was answered. */
export interface AnsweredCall {
  id: string;
  key: string;
  kind: CallKind;
  hands: Hand[];
  why: string;
  answer: CallAnswerKind;
  /** What was chosen, in the words of the option; empty where it was declined. */
  words: string;
  reason: string;
  /** The session that it followed from. */
  sessionId: string | null;
  /** The programme that it changed, where it changed one. */
  programmeId: string | null;
  at: string;
}

/** What waits for an answer of one athlete, and what was answered, the latest first. */
export interface CallsOfAthlete {
  open: AthleteCall[];
  answered: AnsweredCall[];
}

/** Everything that calls take, as plain data: for a thread of its own. */
export interface CallsWork {
  readonly ownMovements: readonly { readonly removed: boolean; readonly document: Movement }[];
  readonly ownMethods: readonly { readonly removed: boolean; readonly document: Method }[];
  readonly sessions: readonly ToldLedSession[];
  readonly programmes: readonly {
    readonly id: string;
    readonly programme: Programme;
    readonly sequences: readonly (readonly [planId: string, sequence: Sequence])[];
  }[];
  readonly givenOn: readonly (readonly [sequenceId: string, day: string])[];
  readonly person: Person;
  readonly athlete: { readonly cautions: readonly RecordedCaution[]; readonly equipment: readonly Equipment[] };
  readonly measuredOn: string | null;
  readonly now: string;
  readonly today: string;
}

/** A plan that comes next, without its sequence. */
export type ComingBrief = Pick<ComingPlan, 'place' | 'day' | 'loads'>;

/** What is proposed, and the plans that it would change. */
export interface CallsAnswer {
  calls: Call[];
  coming: ComingBrief[];
}

/** Finds calls away from the event loop. */
export function answerCalls({ ownMovements, ownMethods, programmes, givenOn, ...work }: CallsWork): CallsAnswer {
  const known = knownWith(ownMovements, ownMethods);
  const { calls, coming } = athleteCalls({
    ...work,
    programmes: programmes.map(({ sequences, ...rest }) => ({ ...rest, sequences: new Map(sequences) })),
    givenOn: new Map(givenOn),
    lookup: known.movement,
    shelf: known.shelf,
    methodOf: (plan) => methodOf(plan, known.method),
  });
  return { calls: [...calls], coming: coming.map(({ place, day, loads }) => ({ place, day, loads })) };
}
