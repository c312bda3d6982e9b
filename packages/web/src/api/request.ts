import type { Problem } from '@clay-pot/contracts';
import { heard } from './connection.js';

/** The server refused, and said why. */
export class ProblemError extends Error {
  override readonly name = 'ProblemError';
  constructor(
    readonly problem: Problem,
    readonly etag: string | null,
  ) {
    super(problem.detail);
  }
}

/** Nobody answered: no network, or the server is away. Worth trying again. */
export class OfflineError extends Error {
  override readonly name = 'OfflineError';
}

interface Options {
  method?: 'GET' | 'PUT' | 'POST' | 'DELETE';
  body?: unknown;
  ifMatch?: string;
  signal?: AbortSignal;
}

/** Asks the API. @throws ProblemError with the server's words; OfflineError when nobody answered. */
export async function request<T>(path: string, options: Options = {}): Promise<T> {
  const response = await answerTo(path, options);
  if (response.status === 204) {
    heard(true);
    return undefined as T;
  }
  const isJson = response.headers.get('content-type')?.includes('json') ?? false;
  heard(isJson);
  // Proxies between here and the server answer with pages of their own.
  if (!isJson) throw new OfflineError(`The server sent an unexpected answer (${response.status}).`);
  if (response.ok) return (await response.json()) as T;
  throw new ProblemError((await response.json()) as Problem, response.headers.get('etag'));
}

async function answerTo(path: string, { method = 'GET', body, ifMatch, signal }: Options): Promise<Response> {
  const headers = {
    ...(body !== undefined && { 'content-type': 'application/json' }),
    ...(ifMatch && { 'if-match': ifMatch }),
  };
  const content = body === undefined ? {} : { body: JSON.stringify(body) };
  try {
    return await fetch(`/api${path}`, { method, headers, ...content, ...(signal && { signal }) });
  } catch (error) {
    if (signal?.aborted) throw error;
    heard(false);
    throw new OfflineError('The server isn’t responding.');
  }
}

/** Whether the server refused for this reason, by the last word of the problem’s type. */
export const isProblem = (error: unknown, name: string): error is ProblemError =>
  error instanceof ProblemError && error.problem.type === `urn:clay-pot:problem:${name}`;
