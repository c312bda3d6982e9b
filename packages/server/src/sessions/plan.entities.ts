import type { Sequence } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { ShownByNoList } from '../database/studio-revision.js';
import { StudioOwned } from '../database/studio-scope.js';
import { STORED_SEQUENCE } from '../sequences/stored-sequence.js';
import { IdColumn } from '../database/columns.js';

/** A sequence as it was led, once for all sessions that led the same. It never changes. */
@ShownByNoList()
@Entity('plans')
export class PlanRow extends StudioOwned {
  /** SHA-256 of the document as it is stored, in hex. */
  @Column('char', { length: 64 })
  sha256: string;

  @Column('json', { transformer: STORED_SEQUENCE })
  document: Sequence;
}

/** Which movements a plan names: who changes one finds what was led with it. */
@ShownByNoList()
@Entity('plan_movements')
export class PlanMovementRow extends StudioOwned {
  @IdColumn('plan_id')
  planId: string;

  @Column('varchar', { name: 'movement_id', length: 100 })
  movementId: string;
}
