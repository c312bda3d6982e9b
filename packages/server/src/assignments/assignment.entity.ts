import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** A sequence given to an athlete. */
@Entity('assignments')
export class AssignmentRow extends StudioOwned {
  @Column('char', { name: 'sequence_id', length: 36 })
  sequenceId: string;

  @Column('char', { name: 'athlete_id', length: 36 })
  athleteId: string;

  @Column('json')
  weekdays: number[];

  @Column('char', { name: 'from_day', length: 10 })
  fromDay: string;
}
