/**
 * The fields of a record that are there: what is left out of a document is not written as undefined.
 * Of a rest and no hold the rest.
 */
export function defined<T extends object>(fields: T): { [K in keyof T]?: Exclude<T[K], undefined> } {
  return Object.fromEntries(Object.entries(fields).filter(([, value]) => value !== undefined)) as {
    [K in keyof T]?: Exclude<T[K], undefined>;
  };
}
