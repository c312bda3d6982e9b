import {
  type EntityManager,
  type EntityMetadata,
  type EntityTarget,
  FindOperator,
  type FindOptionsWhere,
  type ObjectLiteral,
} from 'typeorm';
import { ask } from './quick-query.js';

/** Which rows, how much of them, and in which order. */
export interface RowsWanted<E> {
  readonly where: FindOptionsWhere<E>;
  readonly select?: Partial<Record<keyof E, true>>;
  readonly order?: Partial<Record<keyof E, 'ASC' | 'DESC'>>;
  /** Sorted by columns, or other SQL: after `order`. */
  readonly sort?: readonly SortColumn[];
  readonly take?: number;
  /** Further conditions in SQL, with their parameters. */
  readonly also?: readonly Condition[];
  /** Nobody else changes the rows until the transaction ends. */
  readonly forUpdate?: boolean;
}

/** A column, or other SQL, that rows are sorted by. */
export interface SortColumn {
  readonly column: string;
  readonly direction: 'ASC' | 'DESC';
}

/** A condition in SQL. Columns are named without their table. */
export interface Condition {
  readonly text: string;
  readonly parameters: readonly unknown[];
}

/**
 * Reads rows of a table by plain conditions. TypeORM’s builder parses its own text again for each question, which takes several times as long as
 * the question itself; here the columns of an entity are written once, and its values read by TypeORM’s own rules.
 */
export async function readRows<E extends ObjectLiteral>(
  manager: EntityManager,
  entity: EntityTarget<E>,
  wanted: RowsWanted<E>,
): Promise<E[]> {
  const { metadata } = manager.getRepository(entity);
  const { where, select, order = {}, sort = [], take, also = [], forUpdate } = wanted;
  const columns = select ? metadata.columns.filter(({ propertyName }) => propertyName in select) : metadata.columns;
  const { condition, parameters } = conditionOf(metadata, where);
  const sorted = [
    ...Object.entries(order).map(([property, direction]) => `${columnOf(metadata, property)} ${direction === 'DESC' ? 'DESC' : 'ASC'}`),
    ...sort.map(({ column, direction }) => `${column} ${direction}`),
  ];
  const query = [
    `SELECT ${columns.map(({ databaseName }) => quoted(databaseName)).join(', ')} FROM ${quoted(metadata.tableName)} WHERE ${[condition, ...also.map(({ text }) => text)].join(' AND ')}`,
    ...(sorted.length > 0 ? [`ORDER BY ${sorted.join(', ')}`] : []),
    ...(take === undefined ? [] : [`LIMIT ${Math.trunc(take)}`]),
    ...(forUpdate ? ['FOR UPDATE'] : []),
  ].join(' ');
  const rows = await ask<Record<string, unknown>>(manager, query, [...parameters, ...also.flatMap((each) => each.parameters)]);
  const { driver } = manager.dataSource;
  const { prototype } = metadata.target as { prototype: object };
  return rows.map((row) => {
    const entry = Object.create(prototype) as Record<string, unknown>;
    for (const column of columns) entry[column.propertyName] = driver.prepareHydratedValue(row[column.databaseName], column);
    // oxlint-disable-next-line house/no-double-cast -- it is built of the columns of E, which the types can’t know
    return entry as unknown as E;
  });
}

/** A name as SQL has it. */
export const quoted = (name: string) => `\`${name}\``;
/** The column of a field. @throws Error for a field that the table doesn’t have */
export const columnOf = (metadata: EntityMetadata, property: string): string => {
  const column = metadata.findColumnWithPropertyName(property);
  if (!column) throw new Error(`${metadata.tableName} has no column for ${property}.`);
  return quoted(column.databaseName);
};

/** Plain conditions as SQL. */
export function conditionOf(metadata: EntityMetadata, where: Record<string, unknown>): { condition: string; parameters: unknown[] } {
  const parameters: unknown[] = [];
  const parts = Object.entries(where).map(([property, wanted]) => {
    const column = columnOf(metadata, property);
    if (wanted instanceof FindOperator) return compared(column, wanted as FindOperator<unknown>, parameters);
    // Nothing is meant by it: a condition that disappears would show what it was to keep out.
    if (wanted === undefined || wanted === null) throw new Error(`${metadata.tableName}: no value for ${property}. Use IsNull().`);
    parameters.push(wanted);
    return `${column} = ?`;
  });
  return { condition: parts.length > 0 ? parts.join(' AND ') : '1', parameters };
}

const SIGNS: Readonly<Record<string, string>> = {
  lessThan: '<',
  lessThanOrEqual: '<=',
  moreThan: '>',
  moreThanOrEqual: '>=',
};

function compared(column: string, operator: FindOperator<unknown>, parameters: unknown[]): string {
  const { type, value } = operator;
  if (type === 'isNull') return `${column} IS NULL`;
  if (type === 'in') {
    const values = value as readonly unknown[];
    if (values.length === 0) return '0';
    parameters.push(...values);
    return `${column} IN (${values.map(() => '?').join(', ')})`;
  }
  if (type === 'or') {
    const choices = (value as readonly FindOperator<unknown>[]).map((each) => compared(column, each, parameters));
    return `(${choices.join(' OR ')})`;
  }
  if (type === 'not') {
    if (operator.child) return `NOT (${compared(column, operator.child, parameters)})`;
    parameters.push(value);
    return `${column} <> ?`;
  }
  const sign = SIGNS[type];
  if (!sign) throw new Error(`Rows are not read by “${type}”.`);
  parameters.push(value);
  return `${column} ${sign} ?`;
}
