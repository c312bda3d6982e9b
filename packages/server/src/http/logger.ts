import type { LoggerService } from '@nestjs/common';
import type { FastifyBaseLogger, FastifyRequest } from 'fastify';

/** Lets the framework's own messages flow into the one structured log. */
export class StructuredLogger implements LoggerService {
  constructor(private readonly pino: FastifyBaseLogger) {}

  /** What the framework tells of itself is of no use to most; what we tell are objects. */
  log(message: unknown, context?: string): void {
    if (typeof message === 'object' && message !== null) this.pino.info({ context, ...message });
    else this.pino.debug({ context }, text(message));
  }
  warn(message: unknown, context?: string): void {
    if (typeof message === 'object' && message !== null) this.pino.warn({ context, ...message });
    else this.pino.warn({ context }, text(message));
  }
  error(message: unknown, ...more: unknown[]): void {
    if (typeof message === 'object' && message !== null) this.pino.error(message);
    else this.pino.error({ more }, text(message));
  }
}

const text = (message: unknown) => (typeof message === 'string' ? message : JSON.stringify(message));

/** A request as the log tells of it: without what stands in its query, and without the secret of a calendar’s address. */
export const requestLine = ({ method, url, ip }: Pick<FastifyRequest, 'method' | 'url' | 'ip'>) => ({
  method,
  path: (url.split('?')[0] ?? '').replace(/^(\/api\/calendars\/).+/i, '$1…'),
  address: ip,
});
