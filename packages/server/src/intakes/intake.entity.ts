import type { Intake, Verdict } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn, IdColumn } from '../database/columns.js';

/** What was answered before training on a day, and what it led to: rows are only added. */
@Entity('intakes')
export class IntakeRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @DayColumn('on_day')
  onDay: string;

  @Column('json')
  answers: Intake;

  @Column('varchar', { length: 16 })
  verdict: Verdict;
}
