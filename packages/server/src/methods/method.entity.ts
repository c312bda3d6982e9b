import { METHOD_TEXT, type Method } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';

/** A studio's own method as one document. Removed ones stay: sequences go by them. */
@Entity('methods')
export class MethodRow extends StudioOwned {
  @Column('int', { name: 'row_version' })
  rowVersion: number;

  @Column('varchar', { length: METHOD_TEXT.nameLength })
  name: string;

  @Column('json')
  document: Method;

  @Column('datetime', { name: 'updated_at', precision: 3 })
  updatedAt: Date;

  @Column('datetime', { name: 'removed_at', precision: 3, nullable: true })
  removedAt: Date | null;
}
