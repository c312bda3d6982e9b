import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import {
  applyDecorators,
  type CallHandler,
  type ExecutionContext,
  Injectable,
  type NestInterceptor,
  SetMetadata,
  UseInterceptors,
} from '@nestjs/common';
import { Reflector } from '@nestjs/core';
import type { FastifyReply } from 'fastify';
import { LRUCache } from 'lru-cache';
import { from, lastValueFrom, type Observable } from 'rxjs';
import type { SignedInRequest } from '../accounts/signed-in.guard.js';
import { Clock, dayIn } from './clock.js';
import { shared } from './request-context.js';

const HOLDS_IF = 'holds-if';
/** What belongs to an answer besides its text: its version, and its next page. */
const KEPT_HEADERS = ['etag', 'link'] as const;
const SMALLEST_COMPRESSED = 1024;
/** Bytes that are kept of answers, over all studios, and of one. */
const [MOST_BYTES, MOST_OF_ONE] = [24_000_000, 6_000_000];
/** What an entry takes besides its body and its address: many small answers are bounded too. */
const BESIDE_BYTES = 600;
const compressed = promisify(gzip);

/** An answer as it went out. */
interface Kept {
  /** The revision of the studio and its day: the answer holds while both do. */
  readonly stamp: string;
  readonly body: Buffer;
  readonly headers: Readonly<Record<string, string>>;
  /** Made when a browser first asks for it. */
  gzip?: Promise<Buffer>;
}

/**
 * Marks an answer that depends on what the studio has stored, and on its day, alone: until something is written it is sent again as it is.
 * @param holdsIf whether an answer is one to keep; where it may not be, nobody is answered by what another asked for a moment before
 */
export const HoldsWhileUnchanged = (holdsIf?: (answer: never) => boolean) =>
  applyDecorators(SetMetadata(HOLDS_IF, holdsIf), UseInterceptors(UnchangedInterceptor));

/** What was answered before, of all studios. */
@Injectable()
export class AnsweredBefore {
  readonly kept = new LRUCache<string, Kept>({
    maxSize: MOST_BYTES,
    maxEntrySize: MOST_OF_ONE,
    sizeCalculation: ({ body }, key) => body.length + 2 * key.length + BESIDE_BYTES,
  });
  readonly underWay = new Map<string, Promise<Kept>>();
}

/** Sends kept answers again while nothing was written in their studio. Who asks for the same at once waits for one answer. */
@Injectable()
export class UnchangedInterceptor implements NestInterceptor {
  constructor(
    private readonly reflector: Reflector,
    private readonly clock: Clock,
    private readonly before: AnsweredBefore,
  ) {}

  intercept(context: ExecutionContext, next: CallHandler): Observable<unknown> {
    const http = context.switchToHttp();
    const { signedIn, url, headers } = http.getRequest<SignedInRequest>();
    if (!signedIn) return next.handle();
    const { studio, scope } = signedIn;
    const key = `${studio.id} ${url}`;
    const stamp = `${scope.revision} ${dayIn(studio.timeZone, this.clock.now())}`;
    const reply = http.getResponse<FastifyReply>();
    const acceptsGzip = /\bgzip\b/.test(headers['accept-encoding'] ?? '');
    const existing = this.before.kept.get(key);
    const sending = existing?.stamp === stamp ? existing : this.found({ key, stamp, context, next, reply });
    return from(Promise.resolve(sending).then((kept) => send(reply, kept, acceptsGzip)));
  }

  private found(asked: Asked): Promise<Kept> {
    const { underWay } = this.before;
    const holdsIf = this.reflector.get<((answer: unknown) => boolean) | undefined>(HOLDS_IF, asked.context.getHandler());
    if (holdsIf) return this.answer(asked, holdsIf);
    const name = `${asked.key} ${asked.stamp}`;
    const finding = underWay.get(name) ?? shared(() => this.answer(asked, () => true)).finally(() => underWay.delete(name));
    underWay.set(name, finding);
    return finding;
  }

  private async answer({ key, stamp, next, reply }: Asked, holdsIf: (answer: unknown) => boolean): Promise<Kept> {
    const answer: unknown = await lastValueFrom(next.handle());
    const headers = Object.fromEntries(
      KEPT_HEADERS.flatMap((name) => (reply.hasHeader(name) ? [[name, String(reply.getHeader(name))]] : [])),
    );
    const entry = { stamp, body: Buffer.from(JSON.stringify(answer)), headers };
    if (holdsIf(answer)) this.before.kept.set(key, entry);
    return entry;
  }
}

interface Asked {
  readonly key: string;
  readonly stamp: string;
  readonly context: ExecutionContext;
  readonly next: CallHandler;
  readonly reply: FastifyReply;
}

async function send(reply: FastifyReply, kept: Kept, acceptsGzip: boolean): Promise<Buffer> {
  void reply.type('application/json; charset=utf-8');
  void reply.headers(kept.headers);
  if (!acceptsGzip || kept.body.length < SMALLEST_COMPRESSED) return kept.body;
  kept.gzip ??= compressed(kept.body);
  void reply.header('content-encoding', 'gzip').header('vary', 'accept-encoding');
  return kept.gzip;
}
