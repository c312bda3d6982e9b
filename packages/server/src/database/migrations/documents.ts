import { type Method, type Movement, SequenceError } from '@clay-pot/core';
import { type Known, knownWith } from '@clay-pot/core/library';
import type { QueryRunner } from 'typeorm';

/** What a query answers. */
export const rows = <T>(runner: QueryRunner, sql: string, values: unknown[] = []): Promise<T[]> => runner.query(sql, values);
/** A JSON column comes as text or as what it says, by the driver's version. */
export const read = <T>(json: T | string): T => (typeof json === 'string' ? (JSON.parse(json) as T) : json);

/** What a studio knows: what is shipped, with its own. */
export async function knownIn(runner: QueryRunner, studioId: string): Promise<Known> {
  const of = (table: 'movements' | 'methods') => `SELECT document FROM ${table} WHERE studio_id = ?`;
  const movements = await rows<{ document: Movement }>(runner, of('movements'), [studioId]);
  const methods = await rows<{ document: Method }>(runner, of('methods'), [studioId]);
  return knownWith(
    movements.map(({ document }) => ({ removed: false, document: read(document) })),
    methods.map(({ document }) => ({ removed: false, document: read(document) })),
  );
}

/** What was stored by looser rules than today's keeps its row without sums, rather than keeping the house from opening. */
export function unlessUnsound<T>(work: () => T): T | null {
  try {
    return work();
  } catch (error) {
    if (error instanceof SequenceError) return null;
    throw error;
  }
}
