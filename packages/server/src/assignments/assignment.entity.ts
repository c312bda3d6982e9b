import { Column, Entity, PrimaryColumn } from 'typeorm';
import type { StudioOwned } from '../database/studio-scope.js';

@Entity('assignments')
export class AssignmentRow implements StudioOwned {
  @PrimaryColumn('char', { length: 36 })
  id: string;

  @Column('char', { name: 'studio_id', length: 36 })
  studioId: string;

  @Column('char', { name: 'sequence_id', length: 36 })
  sequenceId: string;

  @Column('char', { name: 'athlete_id', length: 36 })
  athleteId: string;

  @Column('json')
  weekdays: number[];

  @Column('char', { name: 'from_day', length: 10 })
  fromDay: string;
}
