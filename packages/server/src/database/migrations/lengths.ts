import { compileTimeline, faultsOf, type MovementLookup, type Sequence, SEQUENCE, SequenceError } from '@clay-pot/core';
import { readStoredSequence } from '@clay-pot/core/exchange';
import type { QueryRunner } from 'typeorm';
import { knownIn, read, rows, unlessUnsound } from './documents.js';

/** Sums the lengths of all sequences and sessions anew, as the house that runs would. What was done stands as it was recorded. */
export async function sumLengthsAnew(runner: QueryRunner): Promise<void> {
  for (const { id: studioId } of await rows<{ id: string }>(runner, 'SELECT id FROM studios')) {
    const { movement } = await knownIn(runner, studioId);
    const lengthOf = (document: Sequence | string) =>
      unlessUnsound(() => compileTimeline(soundly(read(document), movement), movement).durationMs);
    const sequences = 'SELECT id, document FROM sequences WHERE studio_id = ?';
    for (const { id, document } of await rows<{ id: string; document: Sequence }>(runner, sequences, [studioId])) {
      await set(runner, 'UPDATE sequences SET duration_ms = ? WHERE id = ?', lengthOf(document), id);
    }
    const sessions = 'SELECT id FROM sessions WHERE studio_id = ?';
    for (const { id } of await rows<{ id: string }>(runner, sessions, [studioId])) {
      const [row] = await rows<{ plan: Sequence }>(runner, 'SELECT plan FROM sessions WHERE id = ?', [id]);
      if (row) await set(runner, 'UPDATE sessions SET planned_ms = ? WHERE id = ?', lengthOf(row.plan), id);
    }
  }
}

/** As a document of today. @throws SequenceError for one that is none at all */
function soundly(document: Sequence, movement: MovementLookup): Sequence {
  const faults = faultsOf(SEQUENCE, document);
  if (faults.length > 0) throw new SequenceError(faults);
  return readStoredSequence(document, movement);
}

async function set(runner: QueryRunner, sql: string, lengthMs: number | null, id: string): Promise<void> {
  if (lengthMs !== null) await runner.query(sql, [lengthMs, id]);
}
