import { SUGGESTION_LIMITS } from '@clay-pot/contracts';
import type { SuggestionAnswerKind, SuggestionKind, Hand, ProgrammeEdit } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { IdColumn } from '../database/columns.js';

/** What an answer did to one programme, and what takes it back. */
export interface ChangedProgramme {
  readonly programmeId: string;
  readonly back: readonly ProgrammeEdit[];
}

/** An assigned sequence that an answer changed: the person does a version of their own from then on. */
export interface OwnVersion {
  readonly sequenceId: string;
  readonly ownId: string;
  readonly assignmentIds: readonly string[];
  /** The assignment that it made, where the sequence was led without one. */
  readonly madeAssignmentId?: string;
  /** Whether the one before was their own version already, and went into the archive. */
  readonly isArchived: boolean;
}

/** How a coach answered a suggestion: what was known then, what was chosen, and what it changed. */
@Entity('suggestion_answers')
export class SuggestionAnswerRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @Column('varchar', { name: 'suggestion_key', length: SUGGESTION_LIMITS.keyLength })
  key: string;

  @Column('varchar', { name: 'evidence_key', length: SUGGESTION_LIMITS.keyLength })
  evidenceKey: string;

  @Column('varchar', { length: 16 })
  kind: SuggestionKind;

  @Column('json')
  hands: readonly Hand[];

  @Column('varchar', { length: 1000 })
  why: string;

  @Column('varchar', { length: 16 })
  answer: SuggestionAnswerKind;

  /** Of the option that was chosen; both empty where it was declined. */
  @Column('varchar', { name: 'option_id', length: SUGGESTION_LIMITS.optionLength })
  optionId: string;

  @Column('varchar', { length: 1000 })
  words: string;

  @Column('varchar', { length: SUGGESTION_LIMITS.reasonLength })
  reason: string;

  /** The session that it followed from. */
  @IdColumn('session_id', { nullable: true })
  sessionId: string | null;

  @Column('json')
  changed: readonly (ChangedProgramme | OwnVersion)[];

  /** The hand that it put on record as barred. */
  @Column('varchar', { name: 'barred_hand', length: 8, nullable: true })
  barredHand: Hand | null;

  @Column('datetime', { precision: 3 })
  at: Date;
}
