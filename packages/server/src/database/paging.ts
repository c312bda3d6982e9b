import { LIST_PAGE } from '@clay-pot/contracts';
import { invalid } from '../http/problem.js';
import type { Condition, SortColumn } from './row-reader.js';

/** The values of a row in the columns that its list is sorted by. */
export type PagePlace = readonly (string | number)[];

/** An instant as the database compares it. */
export const sqlInstant = (at: Date): string => at.toISOString().replace('T', ' ').replace('Z', '');
const LONG_AGO = new Date('1000-01-01T00:00:00.000Z');

/** The place after which a page begins, as text for an address. */
export const placeText = (place: PagePlace): string => Buffer.from(JSON.stringify(place)).toString('base64url');

/** Reads the place that a page gave as its end. @throws 422 */
function placeOf(text: string, columns: readonly SortColumn[]): PagePlace {
  try {
    const place: unknown = JSON.parse(Buffer.from(text, 'base64url').toString());
    const isPlace =
      Array.isArray(place) &&
      place.length === columns.length &&
      place.every((each) => typeof each === 'string' || typeof each === 'number');
    if (isPlace) return place;
  } catch {
    // What is no place is answered below.
  }
  throw invalid([{ pointer: '/after', message: 'must be from the Link header of a page with the same sort' }]);
}

/** Sorted last, so that no two rows stand at one place. */
export const BY_ID = { column: 'id', direction: 'ASC' } as const;
/** How a list can be sorted: its columns, and where a row stands by them. */
export interface ListOrder<R> {
  readonly columns: readonly SortColumn[];
  readonly placeOf: (row: R) => PagePlace;
}

/** The latest instant first, rows without one last. */
export const latestFirst = <R extends { readonly id: string }>(column: string, instantOf: (row: R) => Date | null): ListOrder<R> => ({
  columns: [{ column: `COALESCE(${column}, '${sqlInstant(LONG_AGO)}')`, direction: 'DESC' }, BY_ID],
  placeOf: (row) => [sqlInstant(instantOf(row) ?? LONG_AGO), row.id],
});

/** Rows that come after a place. */
export function afterPlace(columns: readonly SortColumn[], place: PagePlace): Condition {
  const parameters: unknown[] = [];
  const cases = columns.map(({ column, direction }, index) => {
    const same = columns.slice(0, index).map((each, at) => {
      parameters.push(place[at]);
      return `${each.column} = ?`;
    });
    parameters.push(place[index]);
    return [...same, `${column} ${direction === 'ASC' ? '>' : '<'} ?`].join(' AND ');
  });
  return { text: `(${cases.map((each) => `(${each})`).join(' OR ')})`, parameters };
}

/** Rows in which each word occurs in one of some texts. @param texts columns, or other SQL that is a text */
export function wordsIn(find: string, texts: readonly string[]): Condition[] {
  return find
    .split(/\s+/)
    .filter(Boolean)
    .map((word) => ({
      text: `(${texts.map((text) => `${text} LIKE ?`).join(' OR ')})`,
      parameters: texts.map(() => likeText(word)),
    }));
}

/** Typed text as LIKE reads it: its own wildcards are letters. */
const likeText = (word: string) => `%${word.replaceAll(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** A page of a list, and the place where it ended; null where nothing comes after it. */
export interface PageOf<T> {
  readonly items: T[];
  readonly end: PagePlace | null;
}

/** What is asked of a list, besides what is searched. */
interface PageWanted {
  readonly after?: string;
  readonly limit?: number;
}

/** What rows of a page are read by: one more than it shows, so that it is known whether another comes. */
export function pageWanted({ after, limit = LIST_PAGE.usual }: PageWanted, columns: readonly SortColumn[]) {
  return {
    sort: columns,
    take: limit + 1,
    also: after === undefined ? [] : [afterPlace(columns, placeOf(after, columns))],
  };
}

/** The rows of a page, and its end. */
export function pageFrom<R>(
  rows: readonly R[],
  { limit = LIST_PAGE.usual }: PageWanted,
  placeOfRow: (row: R) => PagePlace,
): { readonly shown: R[]; readonly end: PagePlace | null } {
  const shown = rows.slice(0, limit);
  const last = shown.at(-1);
  return { shown, end: rows.length > limit && last !== undefined ? placeOfRow(last) : null };
}
