import { PICTURE_LIMITS, type PictureInput } from '@clay-pot/contracts';
import type { Hand } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { DayColumn, IdColumn } from '../database/columns.js';

/** A picture that an angle was read off, kept with the consent of whose hand it is; taken back, it is gone. */
@Entity('pictures')
export class PictureRow extends StudioOwned {
  @IdColumn('athlete_id')
  athleteId: string;

  @Column('varchar', { length: 40 })
  of: PictureInput['of'];

  @Column('varchar', { length: 8 })
  hand: Hand;

  @DayColumn('on_day')
  onDay: string;

  @Column('float')
  deg: number;

  @Column('json')
  points: PictureInput['points'];

  /** Not read with the list. */
  @Column('mediumblob', { select: false })
  jpeg: Buffer;

  @Column('varchar', { name: 'consent_by', length: PICTURE_LIMITS.consentLength })
  consentBy: string;

  @DayColumn('consent_on')
  consentOn: string;
}
