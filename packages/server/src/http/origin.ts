import type { IncomingHttpHeaders } from 'node:http';
import type { FastifyRequest } from 'fastify';
import { foreignOrigin } from './problem.js';

const SAFE = new Set(['GET', 'HEAD', 'OPTIONS']);

/** Refuses writes that a browser sends from another site's page. Programs that send no Origin carry no ambient cookie either. */
export function checkOrigin(request: FastifyRequest): void {
  if (SAFE.has(request.method)) return;
  const { 'sec-fetch-site': site } = request.headers;
  if (site && site !== 'same-origin' && site !== 'none') throw foreignOrigin();
  if (!isOwnOrigin(request.headers)) throw foreignOrigin();
}

/** Whether a request comes from a page of this house, or from a program that has none. */
export const isOwnOrigin = ({ origin, host }: IncomingHttpHeaders): boolean => !origin || hostOf(origin) === host;

function hostOf(origin: string): string | null {
  return URL.canParse(origin) ? new URL(origin).host : null;
}
