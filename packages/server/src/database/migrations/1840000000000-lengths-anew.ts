import { compileTimeline, type Sequence } from '@clay-pot/core';
import type { MigrationInterface, QueryRunner } from 'typeorm';
import { knownIn, read, rows, unlessUnsound } from './documents.js';

/**
 * Getting to the first block, walking to what stands somewhere else and the pause after a held repetition take their time now: the lengths that lists
 * show are summed anew. What was done stands as it was recorded.
 */
export class LengthsAnew1840000000000 implements MigrationInterface {
  async up(runner: QueryRunner): Promise<void> {
    for (const { id: studioId } of await rows<{ id: string }>(runner, 'SELECT id FROM studios')) {
      const { movement } = await knownIn(runner, studioId);
      const lengthOf = (document: Sequence | string) =>
        unlessUnsound(() => compileTimeline(read(document), movement).durationMs);
      const sequences = 'SELECT id, document FROM sequences WHERE studio_id = ?';
      for (const { id, document } of await rows<{ id: string; document: Sequence }>(runner, sequences, [studioId])) {
        await set(runner, 'UPDATE sequences SET duration_ms = ? WHERE id = ?', lengthOf(document), id);
      }
      for (const { id } of await rows<{ id: string }>(runner, 'SELECT id FROM sessions WHERE studio_id = ?', [
        studioId,
      ])) {
        const [row] = await rows<{ plan: Sequence }>(runner, 'SELECT plan FROM sessions WHERE id = ?', [id]);
        if (row) await set(runner, 'UPDATE sessions SET planned_ms = ? WHERE id = ?', lengthOf(row.plan), id);
      }
    }
  }

  /** The lengths are what the house that runs sums: an older one sums them again when a document is stored. */
  async down(): Promise<void> {
    // Nothing of the shape has changed.
  }
}

async function set(runner: QueryRunner, sql: string, lengthMs: number | null, id: string): Promise<void> {
  if (lengthMs !== null) await runner.query(sql, [lengthMs, id]);
}
