import { versionNeeded } from './problem.js';

/** The ETag of a row version. */
export const etagOf = (rowVersion: number) => `"${rowVersion}"`;

/** The row version that an If-Match header names. @throws 428 when it is missing or not one of our tags. */
export function versionOf(ifMatch: string | undefined): number {
  const tag = /^(?:W\/)?"(\d+)"$/.exec(ifMatch ?? '');
  if (!tag) throw versionNeeded();
  return Number(tag[1]);
}
