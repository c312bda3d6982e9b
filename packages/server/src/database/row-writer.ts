import type { ResultSetHeader } from 'mysql2';
import type { EntityManager, EntityTarget, FindOptionsWhere, ObjectLiteral } from 'typeorm';
import { command } from './quick-query.js';
import { columnOf, conditionOf, quoted } from './row-reader.js';

/** New values of some columns; what is undefined stays. */
export type Change<E> = { readonly [K in keyof E]?: E[K] | undefined };

/** Adds rows in one statement; what a row leaves out gets the default of its column. @throws QueryFailedError where an id is taken */
export async function insertRows<E extends ObjectLiteral>(
  manager: EntityManager,
  entity: EntityTarget<E>,
  rows: readonly Partial<Record<keyof E, unknown>>[],
): Promise<void> {
  const { metadata } = manager.getRepository(entity);
  const { driver } = manager.dataSource;
  const parameters: unknown[] = [];
  const values = rows.map((row) =>
    metadata.columns.map((column) => {
      const value: unknown = row[column.propertyName];
      if (value === undefined) return 'DEFAULT';
      parameters.push(driver.preparePersistentValue(value, column));
      return '?';
    }),
  );
  const names = metadata.columns.map(({ databaseName }) => quoted(databaseName)).join(', ');
  const lists = values.map((each) => `(${each.join(', ')})`).join(', ');
  await command(manager, `INSERT INTO ${quoted(metadata.tableName)} (${names}) VALUES ${lists}`, parameters);
}

/** Changes rows. @returns how many fit the condition */
export async function updateRows<E extends ObjectLiteral>(
  manager: EntityManager,
  entity: EntityTarget<E>,
  where: FindOptionsWhere<E>,
  change: Change<E>,
): Promise<number> {
  const { metadata } = manager.getRepository(entity);
  const { driver } = manager.dataSource;
  const entries = Object.entries<unknown>(change).filter(([, value]) => value !== undefined);
  if (entries.length === 0) return 0;
  const set = entries.map(([property, value]) => {
    const column = metadata.findColumnWithPropertyName(property);
    return {
      text: `${columnOf(metadata, property)} = ?`,
      value: column ? (driver.preparePersistentValue(value, column) as unknown) : value,
    };
  });
  const { condition, parameters } = conditionOf(metadata, where);
  const text = `UPDATE ${quoted(metadata.tableName)} SET ${set.map((each) => each.text).join(', ')} WHERE ${condition}`;
  const result: ResultSetHeader = await command(manager, text, [...set.map(({ value }) => value), ...parameters]);
  return result.affectedRows;
}
