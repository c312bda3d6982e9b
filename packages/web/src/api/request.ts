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

/** Asks the API; what it was too busy for is asked again when it says so. @throws ProblemError with the server's words; OfflineError when nobody answered. */
export const request = async <T>(path: string, options: Options = {}): Promise<T> => (await answered<T>(path, options)).body;

/** Asks for all pages of a list, one after another. @throws as `request` */
export async function requestAll<T>(path: string): Promise<T[]> {
  const all: T[] = [];
  for (let next: string | null = path; next !== null;) {
    const page: Answered<T[]> = await answered<T[]>(next);
    all.push(...page.body);
    next = page.next;
  }
  return all;
}

interface Answered<T> {
  readonly body: T;
  /** The path of the next page, where the answer is a page. */
  readonly next: string | null;
}

/** The next page as a `Link` header names it. */
const nextPage = (headers: Headers): string | null => /<\/api([^>]+)>; rel="next"/.exec(headers.get('link') ?? '')?.[1] ?? null;

async function answered<T>(path: string, options: Options = {}, tries = 0): Promise<Answered<T>> {
  const response = await answerTo(path, options);
  if (response.status === 204) {
    heard(true);
    return { body: undefined as T, next: null };
  }
  const isJson = response.headers.get('content-type')?.includes('json') ?? false;
  heard(isJson);
  const waitMs = isJson ? await retryAfterMs(response, options) : null;
  if (waitMs !== null && tries < MOST_RETRIES) {
    await wait(waitMs, options.signal);
    return answered(path, options, tries + 1);
  }
  // Proxies between here and the server answer with pages of their own.
  if (!isJson) throw new OfflineError(`The server sent an unexpected answer (${response.status}).`);
  if (response.ok) return { body: (await response.json()) as T, next: nextPage(response.headers) };
  throw new ProblemError((await response.json()) as Problem, response.headers.get('etag'));
}

/** Asked again so often, and waited for no longer. */
const MOST_RETRIES = 3;
const LONGEST_WAIT_MS = 5000;
/** Up to this share of the wait is added, so that those who were refused together don’t come together again. */
const SCATTER = 0.5;

/** After which time a request may be asked again by itself; null where it may not, or where that is long. */
async function retryAfterMs(response: Response, { method = 'GET' }: Options): Promise<number | null> {
  const seconds = Number(response.headers.get('retry-after') ?? NaN);
  if (response.status !== 503 || !(seconds * 1000 <= LONGEST_WAIT_MS)) return null;
  const { type } = (await response.clone().json()) as Problem;
  // Whoever is busy has done nothing; of a write to a database that went away it is not known.
  const isSafe = type === 'urn:clay-pot:problem:busy' || method === 'GET';
  return isSafe ? seconds * 1000 * (1 + Math.random() * SCATTER) : null;
}

function wait(ms: number, signal: AbortSignal | undefined): Promise<void> {
  return new Promise((resolve, reject) => {
    const timer = setTimeout(resolve, ms);
    signal?.addEventListener('abort', () => {
      clearTimeout(timer);
      reject(signal.reason as Error);
    });
  });
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

/** Whether asking again could not help: the server understood and said no. */
export function isFinal(error: unknown): boolean {
  if (error instanceof OfflineError || isProblem(error, 'sign-in-needed')) return false;
  return error instanceof ProblemError && error.problem.status < 500 && error.problem.status !== 429;
}
