import mysql from 'mysql2';
import { QueryFailedError } from 'typeorm';

/** No query of a request takes longer: whoever asks has given up by then, and a lock is not held forever. */
export const QUERY_LIMIT_S = 5;
/** Later than the database would end a statement itself: then it is stalled, and only we can end it. */
const STALLED_AFTER_S = 0.5;
/** A database that is there takes a connection in milliseconds. */
const CONNECT_WITHIN_MS = 2000;
/** What the driver says of a query that was not answered in time. */
const NOT_ANSWERED = 'PROTOCOL_SEQUENCE_TIMEOUT';

/** The part of the driver that TypeORM asks. */
interface Driver {
  readonly createPool: (options: mysql.PoolOptions) => mysql.Pool;
}
type Callback = (error: { code?: string } | null, ...rest: unknown[]) => void;

/** The driver, each of whose connections ends a statement that takes too long; MariaDB says so with an error of its own. */
export const withLimit = (limitS: number): Driver => ({
  ...mysql,
  createPool: (options: mysql.PoolOptions) => {
    const pool = mysql.createPool({ ...options, connectTimeout: CONNECT_WITHIN_MS });
    pool.on('connection', (connection) => {
      dropWhenStalled(connection);
      connection.query(`SET SESSION max_statement_time = ${limitS}`, (error) => {
        // A connection without its limit serves nobody.
        if (error) connection.destroy();
      });
    });
    return pool;
  },
});

/** A connection that still waits for an answer would keep the next query waiting too: it is given up. */
function dropWhenStalled(connection: mysql.PoolConnection): void {
  const query = connection.query.bind(connection) as (...parameters: unknown[]) => unknown;
  const dropping = (...parameters: unknown[]): unknown => {
    const callback = parameters.at(-1);
    if (typeof callback !== 'function') return query(...parameters);
    const checked: Callback = (error, ...rest) => {
      if (error?.code === NOT_ANSWERED) connection.destroy();
      (callback as Callback)(error, ...rest);
    };
    return query(...parameters.slice(0, -1), checked);
  };
  connection.query = dropping as typeof connection.query;
}

/** After so long a query is given up. */
export const STALLED_AFTER_MS = (QUERY_LIMIT_S + STALLED_AFTER_S) * 1000;

/** Options by which TypeORM gives up a query that a stalled database doesn’t answer. @param limitS seconds; 0 for none */
export const givingUpAfter = (limitS: number) =>
  limitS > 0 ? { enableQueryTimeout: true, maxQueryExecutionTime: (limitS + STALLED_AFTER_S) * 1000 } : {};

interface DriverError {
  readonly errno?: number;
  readonly code?: string;
}
const driverError = (error: unknown): DriverError => {
  if (error instanceof QueryFailedError) return error.driverError as DriverError;
  return error ?? {};
};

/** What MariaDB says of two transactions that waited for each other, and of one that waited too long: nothing of it is stored. */
const LOCKED = [1213, 1205];
/** Whether something failed because others write the same: it may be tried again at once. */
export const wasLocked = (error: unknown): boolean => error instanceof QueryFailedError && LOCKED.includes(driverError(error).errno ?? 0);

/** What MariaDB says of a statement that took longer than its limit. */
const STATEMENT_TIMEOUT = 1969;
/** Whether something failed because a query took too long. */
export const tookTooLong = (error: unknown): boolean => error instanceof QueryFailedError && driverError(error).errno === STATEMENT_TIMEOUT;

/** What the driver and the system say where the database is gone, going, full of connections, or stalled. */
const AWAY = [
  ...['ECONNREFUSED', 'ECONNRESET', 'ETIMEDOUT', 'EPIPE', 'ENOTFOUND', 'PROTOCOL_CONNECTION_LOST', NOT_ANSWERED],
  ...['ER_SERVER_SHUTDOWN', 'ER_CON_COUNT_ERROR', 'ER_CONNECTION_KILLED', 'ER_TOO_MANY_USER_CONNECTIONS'],
];
/** Whether the database did not answer: of a write it is not known whether it was stored. */
export const databaseIsAway = (error: unknown): boolean => AWAY.includes(driverError(error).code ?? '');

/** What MariaDB says where there is no room on the disk: table full, disk full, and the system’s error 28 behind a write that failed. */
const NO_ROOM = [1021, 1114];
const NO_SPACE_LEFT = /No space left|errno: 28|error 28\b/i;
/** Whether a write failed because the disk is full: nothing of it is stored. */
export const diskIsFull = (error: unknown): boolean =>
  error instanceof QueryFailedError && (NO_ROOM.includes(driverError(error).errno ?? 0) || NO_SPACE_LEFT.test(error.message));
