import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { IdColumn } from '../database/columns.js';

/** Which versions of its source a copy has taken up. */
export interface AppliedVersions {
  readonly programme: number;
  /** Of each plan’s sequence, by the id of the plan. */
  readonly sequences: Readonly<Record<string, number>>;
  /** Sequences that were made for the copy: an update changes them where they are, so that what was done of them stays done. */
  readonly own?: readonly string[];
}

/** A programme that follows another person’s: its id is that of the copy. */
@Entity('programme_copies')
export class ProgrammeCopyRow extends StudioOwned {
  @IdColumn('source_id')
  sourceId: string;

  /** Weekdays on which this person has time; null where they are the source’s. */
  @Column('json', { nullable: true })
  weekdays: number[] | null;

  @Column('json')
  applied: AppliedVersions;
}
