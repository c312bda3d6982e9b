import type { Fault } from '../vocabulary/fault.js';
import { LOOK_ANSWERS, LOOK_STOPS } from '../vocabulary/rechecks.js';
import { HAND_WORDS, HANDS, type WorkingSide, WORKING_SIDES } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { idOf, instant, type Of, oneOf, optional, orNull, record, text, trueOrFalse, bounded } from '../vocabulary/schema.js';
import { SCORE } from '../vocabulary/scores.js';
import { SORE_PLACE_IDS, SORE_PLACES } from '../vocabulary/sore-places.js';
import { STOP_SIGN_IDS } from '../vocabulary/stop-signs.js';
import { SET_UNITS, type SetUnit } from '../vocabulary/work.js';
import { MOVEMENT_LIMITS } from './movement.js';
import { BLOCK_LIMITS } from './sequence.js';
import { DOSE_LIMITS } from './dose.js';
import { ROUND_LIMITS } from './round.js';

/** Bounds of what is recorded of a session. */
export const SESSION_LIMITS = {
  amount: { min: 0, max: 7200, step: 1, unit: 'of its unit' },
  /** Discomfort and exertion. */
  score: SCORE,
  round: { min: 1, max: ROUND_LIMITS.times.max, step: 1, unit: 'rounds' },
  directionLength: 60,
  bandPercent: { min: 0, max: 100, step: 1, unit: '% of the time' },
  blockNoteLength: 1000,
  noteLength: 2000,
} as const satisfies Record<string, Limit | number>;

/** One set as it was done: one hand (or both) in one direction of one set of one block. Rows are only ever added; a mistake is put right by another. */
export const DONE_SET = record({
  blockId: text(BLOCK_LIMITS.idLength, 1),
  movementId: text(BLOCK_LIMITS.nameLength, 1),
  levelId: text(BLOCK_LIMITS.nameLength, 1),
  /** 1-based round; left out where there are none. */
  round: optional(bounded(SESSION_LIMITS.round)),
  set: bounded(DOSE_LIMITS.sets),
  side: oneOf(WORKING_SIDES),
  direction: orNull(text(SESSION_LIMITS.directionLength, 1)),
  unit: oneOf(SET_UNITS),
  plannedAmount: bounded(SESSION_LIMITS.amount),
  doneAmount: bounded(SESSION_LIMITS.amount),
  endedAt: instant(),
  /** Id of the set that this one puts right. */
  corrects: orNull(idOf('a set')),
});
/** One set of one hand as it was done; `corrects` names the row that it takes the place of. */
export type DoneSet = Of<typeof DONE_SET>;

/** How a block felt. */
export const BLOCK_REPORT = record({
  blockId: text(BLOCK_LIMITS.idLength, 1),
  discomfort: bounded(SESSION_LIMITS.score, 'Discomfort'),
  /** Null where only “fine” was tapped: effort wasn’t rated. */
  exertion: orNull(bounded(SESSION_LIMITS.score, 'Exertion')),
  note: text(SESSION_LIMITS.blockNoteLength),
  /** Where a gauge was held: how much of the time the effort was kept. */
  bandPercent: optional(orNull(bounded(SESSION_LIMITS.bandPercent, 'In the band'))),
  at: instant(),
});
/** How a block felt. */
export type BlockReport = Of<typeof BLOCK_REPORT>;

/** What hurts in the middle of a session and is none of the signs that end it: which hand, where, how much. */
export const COMPLAINT = record({
  /** The block that was being done. */
  blockId: text(BLOCK_LIMITS.idLength, 1),
  hand: oneOf(WORKING_SIDES),
  place: oneOf(SORE_PLACE_IDS),
  discomfort: bounded(SESSION_LIMITS.score, 'Discomfort'),
  at: instant(),
});
/** Something that hurt in the middle of a session. */
export type Complaint = Of<typeof COMPLAINT>;

/** A complaint in words. @example complaintWords({ hand: 'left', place: 'palm', discomfort: 4 }) → 'left hand, palm: 4 of 10' */
export const complaintWords = ({ hand, place, discomfort }: Pick<Complaint, 'hand' | 'place' | 'discomfort'>): string =>
  `${HAND_WORDS[hand]}, ${SORE_PLACES[place].toLowerCase()}: ${discomfort} of 10`;

/** What was seen of a hand where the session stopped to look again. */
export const HAND_LOOK = record({
  blockId: text(BLOCK_LIMITS.idLength, 1),
  round: optional(bounded(SESSION_LIMITS.round)),
  stop: oneOf(LOOK_STOPS),
  hand: oneOf(HANDS, 'Hand'),
  answer: oneOf(LOOK_ANSWERS, 'Answer'),
  at: instant(),
});
/** What was seen of a hand where the session stopped to look again. */
export type HandLook = Of<typeof HAND_LOOK>;

/** A look in words. @example recheckWords({ hand: 'left', answer: 'looser' }) → 'left hand: looser' */
export const recheckWords = ({ hand, answer }: Pick<HandLook, 'hand' | 'answer'>): string => `${HAND_WORDS[hand]}: ${answer}`;

/** A fault of form, ticked while watching: of one hand in one block. The latest tick of a fault counts; unticking one records that it was not so. */
export const FORM_TICK = record({
  blockId: text(BLOCK_LIMITS.idLength, 1),
  hand: oneOf(HANDS, 'Hand'),
  /** As the movement reported it at the time. */
  fault: text(MOVEMENT_LIMITS.lineLength, 1, 'Fault'),
  seen: trueOrFalse(),
  at: instant(),
});
/** A fault of form, ticked while watching, or ticked off. */
export type FormTick = Of<typeof FORM_TICK>;

/** How a session ends. */
export const ENDINGS = ['completed', 'ended early', 'stopped'] as const;
/** How a session ended. */
export type Ending = (typeof ENDINGS)[number];

/** How a session ended, as the player sends it. */
export const SESSION_END = record({
  ending: oneOf(ENDINGS),
  /** With `ending: stopped`. */
  stopSign: optional(oneOf(STOP_SIGN_IDS)),
  /** Which hand it was; both where nobody said. */
  stopHand: optional(oneOf(WORKING_SIDES)),
  /** How hard it was, all in all; left out where nobody said. */
  exertion: optional(bounded(SESSION_LIMITS.score, 'Exertion')),
  note: text(SESSION_LIMITS.noteLength),
  endedAt: instant(),
});
/** The end of a session, with what was said about it. */
export type SessionEnd = Of<typeof SESSION_END>;

/** What an ending lacks or has too much. @param startedAt ISO instant at which the session began */
export function checkSessionEnd({ ending, stopSign, stopHand, endedAt }: SessionEnd, startedAt: string): Fault[] {
  const faults: Fault[] = [];
  if ((ending === 'stopped') !== (stopSign !== undefined)) {
    faults.push({ pointer: '/stopSign', message: 'is required when the ending is “stopped”, and only then' });
  }
  if (stopHand !== undefined && stopSign === undefined) {
    faults.push({ pointer: '/stopHand', message: 'only belongs to a stop sign' });
  }
  if (endedAt < startedAt) faults.push({ pointer: '/endedAt', message: `must not lie before the start, ${startedAt}` });
  return faults;
}

/** The morning after a session: discomfort of each hand, and whether one was numb. */
export const MORNING = record({
  left: bounded(SESSION_LIMITS.score, 'Left hand'),
  right: bounded(SESSION_LIMITS.score, 'Right hand'),
  /** Numb or tingling: which hand. */
  numb: optional(oneOf(WORKING_SIDES, 'Numb')),
  at: instant(),
});
/** The morning after a session. */
export type Morning = Of<typeof MORNING>;

/** What counting reads of a set: which piece of work, and how much of it. */
export interface CountedSet {
  readonly id: string;
  readonly blockId: string;
  readonly round?: number | undefined;
  readonly set: number;
  readonly side: WorkingSide;
  readonly direction: string | null;
  readonly unit: SetUnit;
  readonly plannedAmount: number;
  readonly doneAmount: number;
  readonly corrects?: string | null;
}

/** Sets as they stand after corrections: what another set corrects is left out; repeats of a piece of work are summed by the reader. */
export function standingSets<T extends CountedSet>(sets: readonly T[]): T[] {
  const corrected = new Set(sets.map((set) => set.corrects).filter((id) => typeof id === 'string'));
  return sets.filter((set) => !corrected.has(set.id));
}
