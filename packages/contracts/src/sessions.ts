import {
  BLOCK_REPORT,
  type BlockReport,
  COMPLAINT,
  type Complaint,
  type DiscomfortPolicy,
  DONE_SET,
  type DoneSet,
  type Ending,
  FORM_TICK,
  type FormTick,
  HAND_LOOK,
  type HandLook,
  MORNING,
  type Morning,
  type MorningScores,
  type PlannedDoneRow,
  SESSION_END,
  type Sequence,
  SEQUENCE,
  type StopSign,
  type WorkingSide,
} from '@clay-pot/core';

import { IsId, IsInstant } from './validation/fields.js';
import { bodyOf, IsDocument } from './validation/is-document.js';

export type { Ending } from '@clay-pot/core';

/** A session as it begins: who, by which plan (the very document that is led), when. */
export class SessionInput {
  @IsId('an athlete')
  readonly athleteId: string;
  @IsId('a sequence')
  readonly sequenceId: string;
  @IsDocument(SEQUENCE)
  readonly plan: Sequence;
  @IsInstant()
  readonly startedAt: string;
}

/** A set as it was done. */
export class DoneSetInput extends bodyOf(DONE_SET) {}
/** What was said of a block. */
export class BlockReportInput extends bodyOf(BLOCK_REPORT) {}
/** What hurts in the middle of a session. */
export class ComplaintInput extends bodyOf(COMPLAINT) {}
/** What was seen of a hand. */
export class HandLookInput extends bodyOf(HAND_LOOK) {}
/** A tick of a fault of form. */
export class FormTickInput extends bodyOf(FORM_TICK) {}
/** How a session ended. */
export class SessionEndInput extends bodyOf(SESSION_END) {}
/** How the hands were the morning after. */
export class MorningInput extends bodyOf(MORNING) {}

/** A set as it is stored. */
export interface StoredSet extends DoneSet {
  id: string;
}
/** A report as it is stored. */
export interface StoredReport extends BlockReport {
  id: string;
}

/** A tick of a fault of form as it is stored. */
export interface StoredFormTick extends FormTick {
  id: string;
}

/** A complaint as it is stored. */
export interface StoredComplaint extends Complaint {
  id: string;
}

/** A session in the list, by sums that were kept when it was recorded. */
export interface SessionListItem {
  id: string;
  athleteId: string;
  athleteName: string;
  sequenceId: string;
  title: string;
  startedAt: string;
  endedAt: string | null;
  /** The studio’s calendar day that it began on. */
  onDay: string;
  /** Null while the session is open. */
  ending: Ending | null;
  stopSign: StopSign | null;
  /** Which hand it was. */
  stopHand: WorkingSide | null;
  plannedMs: number;
  /** Share of the planned work that was done, 0–1. */
  completion: number;
  /** The highest discomfort reported, for a block or during one. */
  maxDiscomfort: number | null;
  /** Effort (RPE): the session rating where there is one, else the mean of the rated blocks. */
  exertion: number | null;
  /** What the method allowed: it decides what a discomfort means. */
  discomfortPolicy: DiscomfortPolicy;
  /** Rules of safety that the plan broke for this athlete when it was begun, each in words. */
  begunAgainst: string[];
  /** The next-day check; null while there is none. */
  morning: Morning | null;
  /** The last next-day check before it, a score for each hand. */
  morningBefore: MorningScores | null;
}

/** A page of sessions, the latest first, and where the next one begins. */
export interface SessionPage {
  items: SessionListItem[];
  /** Pass as `before` for the next page, as it is; null at the end. */
  nextBefore: string | null;
}

/** What was seen of a hand, as it is stored. */
export interface StoredLook extends HandLook {
  id: string;
}

/** All that was recorded of a session. */
export interface SessionRecord extends SessionListItem {
  plan: Sequence;
  note: string;
  sets: StoredSet[];
  reports: StoredReport[];
  complaints: StoredComplaint[];
  looks: StoredLook[];
  form: StoredFormTick[];
  rows: PlannedDoneRow[];
}
