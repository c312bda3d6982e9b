import {
  type BlockReport,
  type Complaint,
  type DiscomfortPolicy,
  type DoneSet,
  type Ending,
  type FormTick,
  type HandLook,
  type Morning,
  type MorningScores,
  idOf,
  instant,
  type Of,
  type PlannedDoneRow,
  record,
  type Sequence,
  SEQUENCE,
  type StopSign,
  type WorkingSide,
} from '@clay-pot/core';

export {
  BLOCK_REPORT as BLOCK_REPORT_INPUT,
  type BlockReport as BlockReportInput,
  COMPLAINT as COMPLAINT_INPUT,
  type Complaint as ComplaintInput,
  DONE_SET as DONE_SET_INPUT,
  type DoneSet as DoneSetInput,
  type Ending,
  FORM_TICK as FORM_TICK_INPUT,
  type FormTick as FormTickInput,
  HAND_LOOK as HAND_LOOK_INPUT,
  type HandLook as HandLookInput,
  MORNING as MORNING_INPUT,
  type Morning as MorningInput,
  SESSION_END as SESSION_END_INPUT,
  type SessionEnd as SessionEndInput,
} from '@clay-pot/core';

/** Begins a session: who, what, and the very document that is led. */
export const SESSION_INPUT = record({
  athleteId: idOf('an athlete'),
  sequenceId: idOf('a sequence'),
  plan: SEQUENCE,
  startedAt: instant(),
});
/** A session as it begins: who, by which plan, when. */
export type SessionInput = Of<typeof SESSION_INPUT>;

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
  /** Null while the session is open. */
  ending: Ending | null;
  stopSign: StopSign | null;
  /** Which hand it was. */
  stopHand: WorkingSide | null;
  plannedMs: number;
  /** Share of the planned work that was done, 0–1. */
  completion: number;
  /** The most of all that was told of blocks and in the middle of them. */
  maxDiscomfort: number | null;
  /** How hard it was: as told at the end, else the mean over the blocks that were told of. */
  exertion: number | null;
  /** What the method allowed: it decides what a discomfort means. */
  discomfortPolicy: DiscomfortPolicy;
  /** Rules of safety that the plan broke for this athlete when it was begun, each in words. */
  begunAgainst: string[];
  /** The morning after; null while nobody told of it. */
  morning: Morning | null;
  /** The last morning that was told of before it, score by hand. */
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
