import { Column, Entity } from 'typeorm';
import { ShownByNoList } from '../database/studio-revision.js';
import { StudioOwned } from '../database/studio-scope.js';
import { IdColumn } from '../database/columns.js';

/** The private address of an athlete’s calendar. Only the hash of its secret is kept: who has the address reads the calendar, and nobody reads the address here. */
@ShownByNoList()
@Entity('calendar_links')
export class CalendarLinkRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @Column('char', { name: 'token_hash', length: 64 })
  tokenHash: string;

  @Column('datetime', { name: 'made_at', precision: 3 })
  madeAt: Date;
}
