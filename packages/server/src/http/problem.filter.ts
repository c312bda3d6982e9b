import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { databaseIsAway, diskIsFull, tookTooLong, wasLocked } from '../database/query-limit.js';
import { requestLine } from './logger.js';
import { busy, databaseAway, noRoom, plain, ProblemError, slowDatabase } from './problem.js';
import { AbandonedError } from './request-context.js';

/** Turns whatever was thrown into a problem document; our own faults are logged with the request id and reported without internals. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const request = http.getRequest<FastifyRequest>();
    const problem = error instanceof ProblemError ? error : this.translate(error, request);
    answerProblem(problem, request, http.getResponse<FastifyReply>());
  }

  private translate(error: unknown, request: FastifyRequest): ProblemError {
    const status = statusOf(error);
    const translated = status === undefined ? undefined : refusal(status, error, request);
    if (translated) return translated;
    // Nobody reads the answer.
    if (error instanceof AbandonedError) return plain(499, error.message);
    if (wasLocked(error)) return busy(1);
    const isWrite = !['GET', 'HEAD'].includes(request.method);
    if (databaseIsAway(error)) return databaseAway(isWrite);
    if (diskIsFull(error)) return noRoom();
    this.log.error({ requestId: request.id, error: error instanceof Error ? error.stack : String(error) });
    if (tookTooLong(error)) return slowDatabase(isWrite);
    if (status === 503) return plain(503, 'Not ready: the database does not answer.');
    return plain(
      500,
      isWrite
        ? 'Something went wrong on the server. Check whether your change was saved before you try again.'
        : 'Something went wrong on the server. Try again.',
    );
  }
}

/** Answers what the framework refuses before any route is found: an address that is none. */
export function answerFrameworkError(error: Error, request: FastifyRequest, reply: FastifyReply): void {
  const status = statusOf(error) ?? 400;
  const what = 'This address can’t be read: check its % signs and its length.';
  answerProblem(plain(status < 500 ? status : 400, what), request, reply);
}

/** Refused for who asks, or how often: whoever guards this server looks at these. */
const REFUSALS: readonly number[] = [401, 403, 421, 429];

/** Sends a problem document. */
export function answerProblem({ problem, headers }: ProblemError, request: FastifyRequest, reply: FastifyReply): void {
  const { status, title } = problem;
  // A page that is opened by whoever isn’t signed in asks who they are: nobody has to look at that.
  const level = status === 401 && request.method === 'GET' ? 'info' : 'warn';
  if (REFUSALS.includes(status)) request.log[level]({ event: 'refused', status, title, ...requestLine(request) });
  void reply
    .status(problem.status)
    .headers(headers)
    .header('content-type', 'application/problem+json; charset=utf-8')
    .send({ ...problem, instance: `urn:clay-pot:request:${request.id}` });
}

function statusOf(error: unknown): number | undefined {
  return error instanceof HttpException ? error.getStatus() : (error as { statusCode?: number }).statusCode;
}

/** What was refused for the asker's part; undefined where the fault is ours. */
function refusal(status: number, error: unknown, request: FastifyRequest): ProblemError | undefined {
  if (status === 404) return plain(404, `Nothing found at ${request.url.split('?')[0]}.`);
  if (status === 413) return plain(413, 'The request is too large; the maximum is 1 MiB.');
  if (status === 415) return plain(415, 'Send JSON with content-type application/json.');
  return status < 500 ? plain(status, (error as Error).message) : undefined;
}
