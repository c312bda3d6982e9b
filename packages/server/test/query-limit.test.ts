import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { DataSource, QueryFailedError } from 'typeorm';
import type { MariaDbOptions } from '../src/database/data-source.js';
import { dataSourceOptions } from '../src/database/data-source.js';
import { databaseIsAway, diskIsFull, tookTooLong, wasLocked } from '../src/database/query-limit.js';

let source: DataSource;
beforeAll(async () => {
  source = await new DataSource(dataSourceOptions(`${process.env['TEST_DATABASE_URL']!}information_schema`, 0.2)).initialize();
});
afterAll(() => source.destroy());

test('a query that takes too long is ended by the database, on every connection, and is told apart', async () => {
  const queries = Array.from({ length: 4 }, () =>
    source.query('SELECT SLEEP(5)').then(
      () => null,
      (error: unknown) => error,
    ),
  );
  const began = Date.now();
  const answers = await Promise.all(queries);
  expect(Date.now() - began).toBeLessThan(4000);
  expect(answers.map(tookTooLong)).toEqual([true, true, true, true]);
  expect(tookTooLong(new Error('something else'))).toBe(false);
});

test('what is quick is answered', async () => {
  expect(await source.query('SELECT 1 AS one')).toEqual([{ one: 1 }]);
});

test('a database that is stalled is given up, and its connection with it', async () => {
  // Only the client’s own clock ends this one: the database is told to take its time.
  const own = await new DataSource({
    ...(dataSourceOptions(`${process.env['TEST_DATABASE_URL']!}information_schema`, 0.2) as MariaDbOptions),
    poolSize: 1,
  }).initialize();
  const began = Date.now();
  const error: unknown = await own.query('SET STATEMENT max_statement_time = 60 FOR SELECT SLEEP(20)').catch((thrown: unknown) => thrown);
  expect(databaseIsAway(error)).toBe(true);
  expect(Date.now() - began).toBeLessThan(3000);
  expect(await own.query('SELECT 1 AS one')).toEqual([{ one: 1 }]);
  expect(Date.now() - began).toBeLessThan(5000);
  await own.destroy();
});

test.each([
  ['a refused connection', { code: 'ECONNREFUSED' }, 'away'],
  ['a lost one', { code: 'PROTOCOL_CONNECTION_LOST' }, 'away'],
  ['too many connections', { code: 'ER_CON_COUNT_ERROR', errno: 1040 }, 'away'],
  ['a deadlock', { code: 'ER_LOCK_DEADLOCK', errno: 1213 }, 'locked'],
  ['a full disk', { code: 'ER_DISK_FULL', errno: 1021 }, 'full'],
  [
    'a write that found no space',
    { code: 'ER_ERROR_ON_WRITE', errno: 1026, message: 'Error writing file (Errcode: 28 "No space left on device")' },
    'full',
  ],
  ['a duplicate', { code: 'ER_DUP_ENTRY', errno: 1062 }, 'other'],
])('%s is told apart', (_what, { message = 'failed', ...driver }: { code: string; errno?: number; message?: string }, kind) => {
  const error = new QueryFailedError('INSERT', [], Object.assign(new Error(message), driver));
  const found = databaseIsAway(error) ? 'away' : wasLocked(error) ? 'locked' : diskIsFull(error) ? 'full' : 'other';
  expect(found).toBe(kind);
});
