import type { Gauge, Hand, Moment, ReadingKind } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** A measured value on a day: rows are added, and taken out only when they were a slip. */
@Entity('readings')
export class ReadingRow extends StudioOwned {
  @Column('char', { name: 'athlete_id', length: 36 })
  athleteId: string;

  @Column('varchar', { length: 20 })
  kind: ReadingKind;

  @Column('varchar', { length: 40 })
  of: string;

  @Column('varchar', { length: 8 })
  hand: Hand;

  @Column('double')
  value: number;

  @Column('char', { name: 'on_day', length: 10 })
  onDay: string;

  @Column('json', { nullable: true })
  trials: readonly number[] | null;

  @Column('varchar', { length: 20, nullable: true })
  gauge: Gauge | null;

  @Column('varchar', { length: 60, nullable: true })
  detail: string | null;

  /** The session that it was measured at, before its work or after it. */
  @Column('char', { name: 'session_id', length: 36, nullable: true })
  sessionId: string | null;

  @Column('varchar', { length: 8, nullable: true })
  moment: Moment | null;

  /** Whether an unlikely value was said to be right. */
  @Column('boolean', { name: 'is_sure' })
  isSure: boolean;
}
