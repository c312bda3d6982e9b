import type { LoggerService } from '@nestjs/common';
import type { FastifyBaseLogger } from 'fastify';

/** Lets the framework's own messages flow into the one structured log. */
export class StructuredLogger implements LoggerService {
  constructor(private readonly pino: FastifyBaseLogger) {}

  log(message: unknown, context?: string): void {
    this.pino.debug({ context }, text(message));
  }
  warn(message: unknown, context?: string): void {
    this.pino.warn({ context }, text(message));
  }
  error(message: unknown, ...more: unknown[]): void {
    if (typeof message === 'object' && message !== null) this.pino.error(message);
    else this.pino.error({ more }, text(message));
  }
}

const text = (message: unknown) => (typeof message === 'string' ? message : JSON.stringify(message));
