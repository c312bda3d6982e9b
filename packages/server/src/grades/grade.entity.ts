import { type Grade, GRADE_LIMITS } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** A spring or a band that a studio owns. */
@Entity('grades')
export class GradeRow extends StudioOwned {
  @Column('varchar', { length: 16 })
  kind: Grade['kind'];

  @Column('varchar', { length: GRADE_LIMITS.nameLength })
  name: string;

  @Column('double')
  kg: number;
}
