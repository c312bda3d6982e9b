import { PROGRAMME_LIMITS, type Programme } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn, IdColumn } from '../database/columns.js';

/** A programme of an athlete as one document. */
@Entity('programmes')
export class ProgrammeRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @Column('int', { name: 'row_version' })
  rowVersion: number;

  @Column('varchar', { length: PROGRAMME_LIMITS.titleLength })
  title: string;

  /** First and last day, ISO: what lists and Today ask by. */
  @DayColumn('from_day')
  fromDay: string;

  @DayColumn('last_day')
  lastDay: string;

  @Column('json')
  document: Programme;

  @Column('datetime', { name: 'updated_at', precision: 3 })
  updatedAt: Date;

  @Column('datetime', { name: 'removed_at', precision: 3, nullable: true })
  removedAt: Date | null;
}
