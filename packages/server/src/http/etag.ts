import type { FastifyReply } from 'fastify';
import { versionNeeded } from './problem.js';

/** The ETag of a row version. */
export const etagOf = (rowVersion: number) => `"${rowVersion}"`;

/** The row version that an If-Match header names. @throws 428 when it is missing or not one of our tags. */
export function versionOf(ifMatch: string | undefined): number {
  const tag = /^(?:W\/)?"(\d+)"$/.exec(ifMatch ?? '');
  if (!tag) throw versionNeeded();
  return Number(tag[1]);
}

/** Answers something with its version as the header by which it can be replaced. */
export function tagged<T extends { readonly etag: string }>(reply: FastifyReply, stored: T): T {
  reply.header('etag', stored.etag);
  return stored;
}
