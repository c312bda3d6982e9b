import { movementIdsOf, type Sequence } from '@clay-pot/core';
import { Column, Entity, In } from 'typeorm';
import { v7 as uuid } from 'uuid';
import { type StudioScope, StudioOwned } from '../database/studio-scope.js';
import { SequenceRow } from './sequence.entity.js';

/** Which movements a sequence names: who changes one finds what it is used in. */
@Entity('sequence_movements')
export class SequenceMovementRow extends StudioOwned {
  @Column('char', { name: 'sequence_id', length: 36 })
  sequenceId: string;

  @Column('varchar', { name: 'movement_id', length: 100 })
  movementId: string;
}

/** Rows for a new sequence. */
export const movementRowsOf = (sequenceId: string, document: Sequence) =>
  movementIdsOf(document).map((movementId) => ({ id: uuid(), sequenceId, movementId }));

/** Keeps which movements a sequence names now; most edits change none. @param held a transaction in which the document is written */
export async function keepMovementsOf(held: StudioScope, sequenceId: string, document: Sequence): Promise<void> {
  const rows = held.of(SequenceMovementRow);
  const before = await rows.find({ where: { sequenceId } });
  const named = new Set(movementIdsOf(document));
  const gone = before.filter(({ movementId }) => !named.has(movementId));
  const idsBefore = new Set(before.map(({ movementId }) => movementId));
  const added = movementRowsOf(sequenceId, document).filter(({ movementId }) => !idsBefore.has(movementId));
  if (gone.length > 0) await rows.remove({ id: In(gone.map(({ id }) => id)) });
  if (added.length > 0) await rows.insertAll(added);
}

/** The sequences that name a movement, removed ones too. */
export async function sequencesWith(scope: StudioScope, movementId: string): Promise<SequenceRow[]> {
  const named = await scope.of(SequenceMovementRow).find({ where: { movementId } });
  return scope.of(SequenceRow).find({ where: { id: In(named.map(({ sequenceId }) => sequenceId)) } });
}
