import { READING_BOUNDS, type Gauge, type Hand, type Moment, type ReadingKind } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn, IdColumn } from '../database/columns.js';

/** A measured value on a day: rows are added, and taken out only when they were a slip. */
@Entity('readings')
export class ReadingRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @Column('varchar', { length: 20 })
  kind: ReadingKind;

  @Column('varchar', { length: READING_BOUNDS.ofLength })
  of: string;

  @Column('varchar', { length: 8 })
  hand: Hand;

  @Column('double')
  value: number;

  @DayColumn('on_day')
  onDay: string;

  @Column('json', { nullable: true })
  trials: readonly number[] | null;

  @Column('varchar', { length: 20, nullable: true })
  gauge: Gauge | null;

  @Column('varchar', { length: READING_BOUNDS.detailLength, nullable: true })
  detail: string | null;

  /** The session that it was measured at, before its work or after it. */
  @IdColumn('session_id', { nullable: true })
  sessionId: string | null;

  @Column('varchar', { length: 8, nullable: true })
  moment: Moment | null;

  /** Whether an unlikely value was said to be right. */
  @Column('boolean', { name: 'is_sure' })
  isSure: boolean;
}
