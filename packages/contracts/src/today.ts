import type { MorningScores } from '@clay-pot/core';
import type { SessionListItem } from './sessions.js';

/** Who is due today, with what, and what speaks against it. */
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

/** What a coach sees first: who is due, who was missed, what was felt. */
export interface Today {
  /** In the studio's time zone. */
  day: string;
  due: TodayDue[];
  recent: SessionListItem[];
  /** Sessions whose morning after was not told of yet. */
  mornings: TodayMorning[];
}

/** A session whose morning after is to be asked about. */
export interface TodayMorning {
  sessionId: string;
  athleteId: string;
  athleteName: string;
  title: string;
  endedAt: string;
  /** The last morning that was told of before, score by hand. */
  before: MorningScores | null;
}
