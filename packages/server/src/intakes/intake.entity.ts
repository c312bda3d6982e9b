import type { Intake, Verdict } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** What was answered before training on a day, and what it led to: rows are only added. */
@Entity('intakes')
export class IntakeRow extends StudioOwned {
  @Column('char', { name: 'athlete_id', length: 36 })
  athleteId: string;

  @Column('char', { name: 'on_day', length: 10 })
  onDay: string;

  @Column('json')
  answers: Intake;

  @Column('varchar', { length: 16 })
  verdict: Verdict;
}
