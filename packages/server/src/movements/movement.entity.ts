import { MOVEMENT_LIMITS, type Movement } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** A studio's own movement as one document. Removed ones stay: sequences and records name them. */
@Entity('movements')
export class MovementRow extends StudioOwned {
  @Column('int', { name: 'row_version' })
  rowVersion: number;

  @Column('varchar', { length: MOVEMENT_LIMITS.nameLength })
  name: string;

  @Column('json')
  document: Movement;

  @Column('datetime', { name: 'updated_at', precision: 3 })
  updatedAt: Date;

  @Column('datetime', { name: 'removed_at', precision: 3, nullable: true })
  removedAt: Date | null;
}
