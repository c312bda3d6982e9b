import { CALL_LIMITS } from '@clay-pot/contracts';
import type { CallAnswerKind, CallKind, Hand, ProgrammeEdit } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { IdColumn } from '../database/columns.js';

/** What an answer did to one programme, and what takes it back. */
export interface ChangedProgramme {
  readonly programmeId: string;
  readonly back: readonly ProgrammeEdit[];
}

/** How a coach answered a call: what was known then, what was chosen, and what it changed. */
@Entity('call_answers')
export class CallAnswerRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @Column('varchar', { name: 'call_key', length: CALL_LIMITS.keyLength })
  key: string;

  @Column('varchar', { name: 'evidence_key', length: CALL_LIMITS.keyLength })
  evidenceKey: string;

  @Column('varchar', { length: 16 })
  kind: CallKind;

  @Column('json')
  hands: readonly Hand[];

  @Column('varchar', { length: 1000 })
  why: string;

  @Column('varchar', { length: 16 })
  answer: CallAnswerKind;

  /** Of the option that was chosen; both empty where it was declined. */
  @Column('varchar', { name: 'option_id', length: CALL_LIMITS.optionLength })
  optionId: string;

  @Column('varchar', { length: 1000 })
  words: string;

  @Column('varchar', { length: CALL_LIMITS.reasonLength })
  reason: string;

  /** The session that it followed from. */
  @IdColumn('session_id', { nullable: true })
  sessionId: string | null;

  @Column('json')
  changed: readonly ChangedProgramme[];

  /** The hand that it put on record as barred. */
  @Column('varchar', { name: 'barred_hand', length: 8, nullable: true })
  barredHand: Hand | null;

  @Column('datetime', { precision: 3 })
  at: Date;
}
