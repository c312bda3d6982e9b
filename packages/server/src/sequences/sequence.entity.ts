import { SEQUENCE_LIMITS, type Sequence } from '@clay-pot/core';
import { Column, Entity } from 'typeorm';
import { StudioOwned } from '../database/studio-scope.js';
import { STORED_SEQUENCE } from './stored-sequence.js';

/** A sequence is one document; the columns beside it are what lists are sorted and found by, and what they show. */
@Entity('sequences')
export class SequenceRow extends StudioOwned {
  @Column('int', { name: 'row_version' })
  rowVersion: number;

  @Column('int', { name: 'schema_version' })
  schemaVersion: number;

  @Column('varchar', { length: SEQUENCE_LIMITS.titleLength })
  title: string;

  @Column('varchar', { length: SEQUENCE_LIMITS.purposeLength })
  purpose: string;

  @Column('int', { name: 'budget_min' })
  budgetMin: number;

  @Column('int', { name: 'duration_ms' })
  durationMs: number;

  @Column('int', { name: 'block_count' })
  blockCount: number;

  @Column('json', { transformer: STORED_SEQUENCE })
  document: Sequence;

  @Column('datetime', { name: 'updated_at', precision: 3 })
  updatedAt: Date;

  /** When it was last led. */
  @Column('datetime', { name: 'last_used_at', precision: 3, nullable: true })
  lastUsedAt: Date | null;

  @Column('json', { default: '[]' })
  tags: readonly string[];

  @Column('boolean', { name: 'is_favourite', default: false })
  isFavourite: boolean;

  @Column('boolean', { name: 'is_archived', default: false })
  isArchived: boolean;

  /** Set when the coach removes it: removing can be undone, and sessions keep what they led. */
  @Column('datetime', { name: 'removed_at', precision: 3, nullable: true })
  removedAt: Date | null;
}
