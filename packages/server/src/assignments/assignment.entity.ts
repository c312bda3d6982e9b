import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn, IdColumn } from '../database/columns.js';

/** A sequence given to an athlete. */
@Entity('assignments')
export class AssignmentRow extends StudioOwned {
  @IdColumn('sequence_id')
  sequenceId: string;

  @IdColumn('athlete_id')
  athleteId: string;

  @Column('json')
  weekdays: number[];

  @DayColumn('from_day')
  fromDay: string;
}
