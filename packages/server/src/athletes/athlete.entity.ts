import { ATHLETE_LIMITS, type AthleteRecord, type Hand, type Sex } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn } from '../database/columns.js';

/** MariaDB hands decimals over as text, so that nothing is lost; these few are small and safe as numbers. */
const asNumber = {
  to: (value: number | null) => value,
  from: (value: string | null) => (value === null ? null : Number(value)),
};

/** An athlete’s record. */
@Entity('athletes')
export class AthleteRow extends StudioOwned {
  @Column('int', { name: 'row_version' })
  rowVersion: number;

  /** Raised with each change of what is computed about them. */
  @Column('int', { name: 'evidence_revision', default: 0 })
  evidenceRevision: number;

  /** When their last session began. */
  @Column('datetime', { name: 'last_session_at', precision: 3, nullable: true })
  lastSessionAt: Date | null;

  @Column('varchar', { length: ATHLETE_LIMITS.nameLength })
  name: string;

  @Column('varchar', { length: ATHLETE_LIMITS.practiceLength })
  practice: string;

  @DayColumn('birth_date', { nullable: true })
  birthDate: string | null;

  @Column('varchar', { length: 16 })
  sex: Sex;

  @Column('varchar', { name: 'dominant_hand', length: 8 })
  dominantHand: Hand;

  @Column('decimal', { name: 'stature_cm', precision: 4, scale: 1, nullable: true, transformer: asNumber })
  statureCm: number | null;

  @Column('decimal', { name: 'mass_kg', precision: 4, scale: 1, nullable: true, transformer: asNumber })
  massKg: number | null;

  @Column('json')
  equipment: AthleteRecord['equipment'];

  @Column('json')
  cautions: AthleteRecord['cautions'];

  @Column('varchar', { length: ATHLETE_LIMITS.notesLength })
  notes: string;

  /** Movements that are not proposed for them. */
  @Column('json', { name: 'left_out' })
  leftOut: NonNullable<AthleteRecord['leftOut']>;
}
