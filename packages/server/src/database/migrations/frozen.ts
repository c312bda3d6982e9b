import type { QueryRunner } from 'typeorm';

// What migrations share. A migration does the same for ever: it asks nothing of the code that the house runs by, which goes on changing.

/** What a query answers. */
export const rows = <T>(runner: QueryRunner, sql: string, values: unknown[] = []): Promise<T[]> => runner.query(sql, values);

/** A JSON column comes as text or as what it says, by the driver's version. */
export const read = <T>(json: T | string): T => (typeof json === 'string' ? (JSON.parse(json) as T) : json);

/** The day of an instant in a time zone, ISO 8601: Swedish writes days so. */
export const dayIn = (timeZone: string, instant: Date): string => new Intl.DateTimeFormat('sv-SE', { timeZone }).format(instant);

/** The table that says by which version derived values were computed. */
export const DERIVED_VALUES =
  'CREATE TABLE IF NOT EXISTS derived_values (name VARCHAR(20) NOT NULL PRIMARY KEY, version INT NOT NULL) ENGINE=InnoDB';

/** Leaves it to the house that runs to work out anew what it keeps of documents (`derived.ts`). */
export async function leaveToWorkOut(runner: QueryRunner, name: 'sums' | 'lengths'): Promise<void> {
  await runner.query(DERIVED_VALUES);
  await runner.query('REPLACE INTO derived_values (name, version) VALUES (?, 0)', [name]);
}
