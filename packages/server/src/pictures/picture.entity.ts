import type { PictureInput } from '@clay-pot/contracts';
import type { Hand } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** A picture that an angle was read off, kept with the consent of whose hand it is; taken back, it is gone. */
@Entity('pictures')
export class PictureRow extends StudioOwned {
  @Column('char', { name: 'athlete_id', length: 36 })
  athleteId: string;

  @Column('varchar', { length: 40 })
  of: PictureInput['of'];

  @Column('varchar', { length: 8 })
  hand: Hand;

  @Column('char', { name: 'on_day', length: 10 })
  onDay: string;

  @Column('float')
  deg: number;

  @Column('json')
  points: PictureInput['points'];

  /** Not read with the list. */
  @Column('mediumblob', { select: false })
  jpeg: Buffer;

  @Column('varchar', { name: 'consent_by', length: 120 })
  consentBy: string;

  @Column('char', { name: 'consent_on', length: 10 })
  consentOn: string;
}
