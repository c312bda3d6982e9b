import { type ArgumentsHost, Catch, type ExceptionFilter, HttpException, Logger } from '@nestjs/common';
import type { FastifyReply, FastifyRequest } from 'fastify';
import { plain, ProblemError } from './problem.js';

/** Turns whatever was thrown into a problem document; faults of ours are logged with the request id and told without innards. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly log = new Logger('Problem');

  catch(error: unknown, host: ArgumentsHost): void {
    const http = host.switchToHttp();
    const reply = http.getResponse<FastifyReply>();
    const request = http.getRequest<FastifyRequest>();
    const known = error instanceof ProblemError ? error : this.translate(error, request);
    void reply
      .status(known.problem.status)
      .headers(known.headers)
      .header('content-type', 'application/problem+json; charset=utf-8')
      .send({ ...known.problem, instance: `urn:clay-pot:request:${request.id}` });
  }

  private translate(error: unknown, request: FastifyRequest): ProblemError {
    const status = error instanceof HttpException ? error.getStatus() : (error as { statusCode?: number }).statusCode;
    if (status === 404) return plain(404, `There is nothing at ${request.url.split('?')[0]}.`);
    if (status === 413) return plain(413, 'The request is too large: at most 1 MiB is taken.');
    if (status === 415) return plain(415, 'Send JSON with content-type application/json.');
    if (status && status < 500) return plain(status, (error as Error).message);
    this.log.error({ requestId: request.id, error: error instanceof Error ? error.stack : String(error) });
    if (status === 503) return plain(503, 'Not ready: the database does not answer.');
    return plain(500, 'Something went wrong on the server. Nothing of this request was stored. Try again.');
  }
}
