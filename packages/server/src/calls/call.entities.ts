import type { CallAnswerKind, CallKind, Hand, ProgrammeEdit } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** What an answer did to one programme, and what takes it back. */
export interface ChangedProgramme {
  readonly programmeId: string;
  readonly back: readonly ProgrammeEdit[];
}

/** How a coach answered a call: what was known then, what was chosen, and what it changed. */
@Entity('call_answers')
export class CallAnswerRow extends StudioOwned {
  @Column('char', { name: 'athlete_id', length: 36 })
  athleteId: string;

  @Column('varchar', { name: 'call_key', length: 200 })
  key: string;

  @Column('varchar', { name: 'evidence_key', length: 200 })
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
  @Column('varchar', { name: 'option_id', length: 40 })
  optionId: string;

  @Column('varchar', { length: 1000 })
  words: string;

  @Column('varchar', { length: 400 })
  reason: string;

  /** The session that it followed from. */
  @Column('char', { name: 'session_id', length: 36, nullable: true })
  sessionId: string | null;

  @Column('json')
  changed: readonly ChangedProgramme[];

  /** The hand that it put on record as barred. */
  @Column('varchar', { name: 'barred_hand', length: 8, nullable: true })
  barredHand: Hand | null;

  @Column('datetime', { precision: 3 })
  at: Date;
}
