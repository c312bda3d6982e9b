import { Column, Entity } from 'typeorm';
import { ShownByNoList } from '../database/studio-revision.js';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn, IdColumn } from '../database/columns.js';

/** What is kept of an athlete once it was computed. */
export type KeptKind = 'suggestions' | 'evidence' | 'predictions' | 'levels';

/** An answer about an athlete, with what it rests on: it holds while all of that does. */
@ShownByNoList()
@Entity('kept_answers')
export class KeptAnswerRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @Column('varchar', { length: 16 })
  kind: KeptKind;

  /** Of the athlete, when what it was computed from was read. */
  @Column('int', { name: 'evidence_revision' })
  evidenceRevision: number;

  /** The studio’s today. */
  @DayColumn('on_day')
  onDay: string;

  /** Of the computations. */
  @Column('char', { length: 16 })
  rules: string;

  @Column('json')
  answer: unknown;
}
