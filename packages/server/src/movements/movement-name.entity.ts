import { MOVEMENT_LIMITS } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** What a studio calls a movement, shipped or its own. */
@Entity('movement_names')
export class MovementNameRow extends StudioOwned {
  @Column('varchar', { name: 'movement_id', length: 80 })
  movementId: string;

  @Column('varchar', { length: MOVEMENT_LIMITS.nameLength })
  name: string;
}
