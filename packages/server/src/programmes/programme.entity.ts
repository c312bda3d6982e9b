import type { Programme } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** A programme of an athlete as one document. */
@Entity('programmes')
export class ProgrammeRow extends StudioOwned {
  @Column('char', { name: 'athlete_id', length: 36 })
  athleteId: string;

  @Column('int', { name: 'row_version' })
  rowVersion: number;

  @Column('varchar', { length: 120 })
  title: string;

  /** First and last day, ISO: what lists and Today ask by. */
  @Column('char', { name: 'from_day', length: 10 })
  fromDay: string;

  @Column('char', { name: 'last_day', length: 10 })
  lastDay: string;

  @Column('json')
  document: Programme;

  @Column('datetime', { name: 'updated_at', precision: 3 })
  updatedAt: Date;

  @Column('datetime', { name: 'removed_at', precision: 3, nullable: true })
  removedAt: Date | null;
}
