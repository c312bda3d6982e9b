import { afterAll, beforeAll, expect, test } from '@jest/globals';
import { DataSource } from 'typeorm';
import { dataSourceOptions } from '../src/database/data-source.js';
import { tookTooLong } from '../src/database/query-limit.js';

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
