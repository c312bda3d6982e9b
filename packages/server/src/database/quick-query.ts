import type { Pool, PoolConnection, QueryError, ResultSetHeader } from 'mysql2';
import { type EntityManager, QueryFailedError } from 'typeorm';
import { STALLED_AFTER_MS } from './query-limit.js';

/**
 * Asks the database. Outside of a transaction it takes a connection itself: TypeORM makes a runner, two promises and four events of each question, which take
 * longer than the question.
 */
export const ask = <R>(manager: EntityManager, text: string, parameters: readonly unknown[]): Promise<R[]> =>
  answerOf(manager, text, parameters);

/** Has the database do something, by the same way. */
export const command = (manager: EntityManager, text: string, parameters: readonly unknown[]): Promise<ResultSetHeader> =>
  answerOf(manager, text, parameters);

function answerOf<A>(manager: EntityManager, text: string, parameters: readonly unknown[]): Promise<A> {
  const { queryRunner, dataSource } = manager;
  if (queryRunner) return queryRunner.query(text, [...parameters]) as Promise<A>;
  // Migrations and what they compute anew may take longer.
  const isLimited = 'enableQueryTimeout' in dataSource.options && dataSource.options.enableQueryTimeout;
  // oxlint-disable-next-line house/no-double-cast -- TypeORM’s driver has it, but doesn’t say so
  const { pool } = dataSource.driver as unknown as { readonly pool: Pool };
  return new Promise((resolve, reject) => {
    const failed = (error: Error) => reject(new QueryFailedError(text, [...parameters], error));
    pool.getConnection((refused: Error | null, connection: PoolConnection) => {
      if (refused) {
        failed(refused);
        return;
      }
      const answered = (error: QueryError | null, rows: unknown) => {
        connection.release();
        if (error) failed(error);
        else resolve(rows as A);
      };
      connection.query({ sql: text, ...(isLimited && { timeout: STALLED_AFTER_MS }) }, [...parameters], answered);
    });
  });
}
