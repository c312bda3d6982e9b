import {
  BLOCK_LIMITS,
  SEQUENCE_LIMITS,
  SESSION_LIMITS,
  type DiscomfortPolicy,
  type Ending,
  type Hand,
  type LookAnswer,
  type LookStop,
  type Morning,
  type MorningScores,
  type SetUnit,
  type SorePlace,
  type StopSign,
  type WorkingSide,
} from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { ShownByNoList } from '../database/studio-revision.js';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn, IdColumn } from '../database/columns.js';

/** A session that was led. */
@Entity('sessions')
export class SessionRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @IdColumn('sequence_id')
  sequenceId: string;

  /** The sequence as it was led (`plans`): later edits of the sequence do not change the record. */
  @IdColumn('plan_id')
  planId: string;

  @Column('datetime', { name: 'started_at', precision: 3 })
  startedAt: Date;

  @Column('datetime', { name: 'ended_at', precision: 3, nullable: true })
  endedAt: Date | null;

  /** The studio’s calendar day that it began on. */
  @DayColumn('on_day')
  onDay: string;

  @Column('varchar', { length: 16, nullable: true })
  ending: Ending | null;

  @Column('varchar', { name: 'stop_sign', length: 16, nullable: true })
  stopSign: StopSign | null;

  /** Which hand it was. */
  @Column('varchar', { name: 'stop_hand', length: 8, nullable: true })
  stopHand: WorkingSide | null;

  @Column('varchar', { length: SESSION_LIMITS.noteLength })
  note: string;

  // What lists show, stored when something is recorded: a list reads no plan and compiles nothing.

  @Column('varchar', { length: SEQUENCE_LIMITS.titleLength })
  title: string;

  @Column('int', { name: 'planned_ms' })
  plannedMs: number;

  /** Share of the planned work that was done, 0–1. */
  @Column('double')
  completion: number;

  @Column('tinyint', { name: 'max_discomfort', nullable: true })
  maxDiscomfort: number | null;

  /** The session rating of effort, else the mean of the rated blocks. */
  @Column('double', { nullable: true })
  exertion: number | null;

  /** The session rating of effort. */
  @Column('tinyint', { name: 'told_exertion', nullable: true })
  toldExertion: number | null;

  /** What the method of the plan allowed: it decides what a discomfort means. */
  @Column('varchar', { name: 'discomfort_policy', length: 8 })
  discomfortPolicy: DiscomfortPolicy;

  /** The latest next-day check. */
  @Column('json', { nullable: true })
  morning: Morning | null;

  /** The studio’s calendar day of the next-day check. */
  @DayColumn('morning_on', { nullable: true })
  morningOn: string | null;

  /** The last next-day check before it. */
  @Column('json', { name: 'morning_before', nullable: true })
  morningBefore: MorningScores | null;

  /** Counts what was recorded of it: what is computed from sessions is recomputed when it changes. */
  @Column('int')
  revision: number;

  /** Rules of safety that the plan broke for this athlete when it was begun: recorded all the same, and flagged. */
  @Column('json', { name: 'begun_against' })
  begunAgainst: readonly BrokenRule[];
}

/** A rule of safety that was broken, with what it said. */
export interface BrokenRule {
  readonly check: string;
  readonly text: string;
}

/** Append-only. */
@ShownByNoList()
@Entity('done_sets')
export class DoneSetRow extends StudioOwned {
  @IdColumn('session_id')
  sessionId: string;

  @Column('varchar', { name: 'block_id', length: BLOCK_LIMITS.idLength })
  blockId: string;

  @Column('varchar', { name: 'movement_id', length: 100 })
  movementId: string;

  @Column('varchar', { name: 'level_id', length: 100 })
  levelId: string;

  /** 1-based; 1 where there are no rounds. */
  @Column('int')
  round: number;

  @Column('int', { name: 'set_number' })
  set: number;

  @Column('varchar', { length: 8 })
  side: WorkingSide;

  @Column('varchar', { length: SESSION_LIMITS.directionLength, nullable: true })
  direction: string | null;

  @Column('varchar', { length: 16 })
  unit: SetUnit;

  @Column('int', { name: 'planned_amount' })
  plannedAmount: number;

  @Column('int', { name: 'done_amount' })
  doneAmount: number;

  @Column('datetime', { name: 'ended_at', precision: 3 })
  endedAt: Date;

  @Column('char', { length: 36, nullable: true })
  corrects: string | null;
}

/** Append-only; the latest report of a block counts. */
@ShownByNoList()
@Entity('block_reports')
export class BlockReportRow extends StudioOwned {
  @IdColumn('session_id')
  sessionId: string;

  @Column('varchar', { name: 'block_id', length: BLOCK_LIMITS.idLength })
  blockId: string;

  @Column('tinyint')
  discomfort: number;

  @Column('tinyint', { nullable: true })
  exertion: number | null;

  @Column('varchar', { length: SESSION_LIMITS.blockNoteLength })
  note: string;

  @Column('tinyint', { name: 'band_percent', nullable: true })
  bandPercent: number | null;

  @Column('datetime', { precision: 3 })
  at: Date;
}

/** Append-only: what was seen of a hand where the session stopped to look again. */
@ShownByNoList()
@Entity('hand_looks')
export class HandLookRow extends StudioOwned {
  @IdColumn('session_id')
  sessionId: string;

  @Column('varchar', { name: 'block_id', length: BLOCK_LIMITS.idLength })
  blockId: string;

  @Column('int')
  round: number;

  @Column('varchar', { length: 16 })
  stop: LookStop;

  @Column('varchar', { length: 8 })
  hand: Hand;

  @Column('varchar', { length: 8 })
  answer: LookAnswer;

  @Column('datetime', { precision: 3 })
  at: Date;
}

/** Append-only: a fault of form that was ticked, or unticked; the latest counts. */
@ShownByNoList()
@Entity('form_ticks')
export class FormTickRow extends StudioOwned {
  @IdColumn('session_id')
  sessionId: string;

  @Column('varchar', { name: 'block_id', length: BLOCK_LIMITS.idLength })
  blockId: string;

  @Column('varchar', { length: 8 })
  hand: Hand;

  @Column('varchar', { length: 200 })
  fault: string;

  @Column('boolean')
  seen: boolean;

  @Column('datetime', { precision: 3 })
  at: Date;
}

/** Append-only: what hurt in the middle of a session. */
@ShownByNoList()
@Entity('complaints')
export class ComplaintRow extends StudioOwned {
  @IdColumn('session_id')
  sessionId: string;

  @Column('varchar', { name: 'block_id', length: BLOCK_LIMITS.idLength })
  blockId: string;

  @Column('varchar', { length: 8 })
  hand: WorkingSide;

  @Column('varchar', { length: 24 })
  place: SorePlace;

  @Column('tinyint')
  discomfort: number;

  @Column('datetime', { precision: 3 })
  at: Date;
}
