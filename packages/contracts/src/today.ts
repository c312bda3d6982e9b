import type { Change, MorningScores, Sentence } from '@clay-pot/core';
import type { SessionListItem } from './sessions.js';

/** Who is due today, with what, and what forbids it. */
export interface TodayDue {
  /** What it comes from: a sequence that was given, or a session of a programme. */
  from: { kind: 'given'; id: string } | { kind: 'programme'; id: string; sessionId: string; amountPercent: number };
  sequenceId: string;
  athleteId: string;
  athleteName: string;
  practice: string;
  sequenceTitle: string;
  durationMs: number;
  state: 'due' | 'done';
  missedDays: string[];
  lastSession: SessionListItem | null;
  /** What forbids loading until cleared, in words. */
  stops: string[];
}

/** Somebody who may be hurt by training as planned, with why: the gravest first. */
export interface TodayRisk {
  athleteId: string;
  athleteName: string;
  reasons: Sentence[];
}

/** Something that happened since yesterday morning. */
export interface TodayChange extends Change {
  athleteId: string;
  athleteName: string;
}

/** How far a new studio has come; the steps are a person, a check-in, a sequence. */
export interface FirstSteps {
  /** Whom to go on with; null where nobody was added yet. */
  athlete: { id: string; name: string } | null;
  hasCheckIn: boolean;
  hasSequence: boolean;
}

/** What a coach sees first: who is at risk, who is due, what changed, what was felt. */
export interface Today {
  /** In the studio's time zone. */
  day: string;
  /** Null once a studio has a person, a check-in and a sequence. */
  firstSteps: FirstSteps | null;
  /** Most urgent first, as in the class overview. */
  atRisk: TodayRisk[];
  /** Open before done; within them in the order of the class overview. */
  due: TodayDue[];
  /** Since the start of yesterday; what may hurt comes first. */
  changes: TodayChange[];
  /** Sessions without a next-day check yet. */
  mornings: TodayMorning[];
}

/** A session whose morning after is to be asked about. */
export interface TodayMorning {
  sessionId: string;
  athleteId: string;
  athleteName: string;
  title: string;
  endedAt: string;
  /** The next-day check before, a score for each hand. */
  before: MorningScores | null;
}
