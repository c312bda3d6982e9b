import mysql from 'mysql2';
import { QueryFailedError } from 'typeorm';

/** No query of a request takes longer: whoever asks has given up by then, and a lock is not held forever. */
export const QUERY_LIMIT_S = 20;

/** The part of the driver that TypeORM asks. */
interface Driver {
  readonly createPool: (options: mysql.PoolOptions) => mysql.Pool;
}

/** The driver, each of whose connections ends a statement that takes too long; MariaDB says so with an error of its own. */
export const withLimit = (limitS: number): Driver => ({
  ...mysql,
  createPool: (options: mysql.PoolOptions) => {
    const pool = mysql.createPool(options);
    pool.on('connection', (connection) => {
      connection.query(`SET SESSION max_statement_time = ${limitS}`, (error) => {
        // A connection without its limit serves nobody.
        if (error) connection.destroy();
      });
    });
    return pool;
  },
});

/** What MariaDB says of two transactions that waited for each other, and of one that waited too long: nothing of it is stored. */
const LOCKED = [1213, 1205];
/** Whether something failed because others write the same: it may be tried again at once. */
export const wasLocked = (error: unknown): boolean =>
  error instanceof QueryFailedError && LOCKED.includes((error.driverError as { errno?: number }).errno ?? 0);

/** What MariaDB says of a statement that took longer than its limit. */
const STATEMENT_TIMEOUT = 1969;
/** Whether something failed because a query took too long. */
export const tookTooLong = (error: unknown): boolean =>
  error instanceof QueryFailedError && (error.driverError as { errno?: number }).errno === STATEMENT_TIMEOUT;
