import { compileTimeline, type MovementLookup, type Sequence } from '@clay-pot/core';
import type { StudioScope } from '../database/studio-scope.js';
import { SequenceRow } from './sequence.entity.js';
import { sequencesWith } from './sequence-movements.js';

/** What lists show of a sequence: stored with the document, so that a list compiles nothing. */
export function sumsOfSequence({ title, purpose, budgetMin, blocks }: Sequence, durationMs: number) {
  return { title, purpose, budgetMin, durationMs, blockCount: blocks.length };
}

/** The document with what lists show of it. @throws SequenceError when it is not sound */
export function storedSequence(document: Sequence, lookup: MovementLookup) {
  return { document, ...sumsOfSequence(document, compileTimeline(document, lookup).plannedMs) };
}

/** Recomputes the sums of what names a movement that has changed: its levels set paces and places. */
export async function recomputedSums(scope: StudioScope, movementId: string, lookup: MovementLookup): Promise<void> {
  const rows = await sequencesWith(scope, movementId);
  for (const { id, document } of rows) await scope.of(SequenceRow).update({ id }, storedSequence(document, lookup));
}
