import { type ClassEvent, type ClassSession, SEQUENCE_LIMITS } from '@clay-pot/core';
import { CODE_LENGTH, type RoomRole } from '@clay-pot/contracts';
import { Column, Entity, Generated, PrimaryColumn } from 'typeorm';
import { IdColumn } from '../database/columns.js';
import { ShownByNoList } from '../database/studio-revision.js';
import { StudioOwned } from '../database/studio-scope.js';

/** A class that is led together: what it began with. What came of it is in its events. */
@ShownByNoList()
@Entity('class_sessions')
export class ClassSessionRow extends StudioOwned {
  @Column('varchar', { length: SEQUENCE_LIMITS.titleLength })
  title: string;

  @Column('json')
  document: ClassSession;

  @Column('json', { name: 'athlete_ids' })
  athleteIds: readonly string[];

  @Column('datetime', { name: 'started_at', precision: 3 })
  startedAt: Date;

  @Column('datetime', { name: 'ended_at', precision: 3, nullable: true })
  endedAt: Date | null;

  /** The time of the class less that of the server; null where it isn’t known yet. */
  @Column('bigint', { name: 'offset_ms', nullable: true })
  offsetMs: string | null;

  /** What other devices join by, while it runs. */
  @Column('char', { length: CODE_LENGTH, nullable: true })
  code: string | null;

  /** When its records are written next; null while there is nothing to write. */
  @Column('datetime', { name: 'settle_at', precision: 3, nullable: true })
  settleAt: Date | null;
}

/** Append-only: a press in a class. */
@ShownByNoList()
@Entity('class_events')
export class ClassEventRow extends StudioOwned {
  @IdColumn('class_id')
  classId: string;

  /** In the order of arrival. */
  @Column('bigint', { unsigned: true })
  @Generated('increment')
  place: number;

  @Column('json')
  event: ClassEvent;
}

/** A device without an account that joined a class. Only the hash of its token is kept. */
@Entity('class_guests')
export class ClassGuestRow {
  @PrimaryColumn('char', { name: 'token_hash', length: 64 })
  tokenHash: string;

  @IdColumn('class_id')
  classId: string;

  @Column('varchar', { length: 8 })
  role: RoomRole;

  @Column('datetime', { name: 'expires_at', precision: 3 })
  expiresAt: Date;
}
