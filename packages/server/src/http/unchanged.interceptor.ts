import { promisify } from 'node:util';
import { gzip } from 'node:zlib';
import {
  applyDecorators,
  type CallHandler,
  type ExecutionContext,
  Injectable,
  type NestInterceptor,
  SetMetadata,
  type Type,
  UseInterceptors,
} from '@nestjs/common';
import { ModuleRef, Reflector } from '@nestjs/core';
import type { FastifyReply } from 'fastify';
import { LRUCache } from 'lru-cache';
import { from, lastValueFrom, type Observable } from 'rxjs';
import type { SignedInRequest } from '../accounts/signed-in.guard.js';
import { Clock, dayIn } from './clock.js';
import { shared } from './request-context.js';

const BOUNDS = 'holds-while-unchanged';
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
  /** Where it rests on rows besides. */
  readonly rows?: RowsSeen;
  /** Made when a browser first asks for it. */
  gzip?: Promise<Buffer>;
}

/** Rows that an answer rests on, as they were before it was found; without a version where that isn’t known. */
interface RowsSeen {
  readonly ids: readonly string[];
  readonly version: string | null;
}

/** Tells of rows that change without a word to the studio’s revision. */
export interface RestsOn<A> {
  /** Those that an answer rests on. */
  idsIn(answer: A): readonly string[];
  /** Other whenever one of them changes. */
  versionOf(ids: readonly string[]): Promise<string>;
}

/** What bounds an answer besides the studio’s revision and its day. */
interface Bounds<A = never> {
  /** Whether it is one to keep. */
  readonly holdsIf?: (answer: A) => boolean;
  /** What tells of the rows that it rests on. */
  readonly restsOn?: Type<RestsOn<A>>;
}

/**
 * Marks an answer that depends on what the studio has stored, and on its day, alone: until something is written it is sent again as it is. One that has bounds
 * besides is found for each who asks: nobody is answered by what another asked for a moment before.
 */
export const HoldsWhileUnchanged = (bounds: Bounds = {}) =>
  applyDecorators(SetMetadata(BOUNDS, bounds), UseInterceptors(UnchangedInterceptor));

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
    private readonly modules: ModuleRef,
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
    const sending = this.current({ key, stamp, context, next, reply });
    return from(sending.then((kept) => send(reply, kept, acceptsGzip)));
  }

  private async current(asked: Asked): Promise<Kept> {
    const existing = this.before.kept.get(asked.key);
    const isUnchanged = existing?.stamp === asked.stamp;
    if (isUnchanged && !existing.rows) return existing;
    const { holdsIf, restsOn } = this.reflector.get<Bounds<unknown>>(BOUNDS, asked.context.getHandler());
    if (restsOn) {
      const tells = this.modules.get<RestsOn<unknown>>(restsOn, { strict: false });
      // Read before the answer is found: what is recorded meanwhile makes it another.
      const rows = existing?.rows && { ...existing.rows, version: await tells.versionOf(existing.rows.ids) };
      if (isUnchanged && rows?.version === existing.rows?.version) return existing;
      return this.answer(asked, { restsOn: tells, rows });
    }
    if (holdsIf) return this.answer(asked, { holdsIf });
    return this.found(asked);
  }

  private found(asked: Asked): Promise<Kept> {
    const { underWay } = this.before;
    const name = `${asked.key} ${asked.stamp}`;
    const finding = underWay.get(name) ?? shared(() => this.answer(asked, {})).finally(() => underWay.delete(name));
    underWay.set(name, finding);
    return finding;
  }

  private async answer({ key, stamp, next, reply }: Asked, { holdsIf = () => true, restsOn, rows }: Bound): Promise<Kept> {
    const answer: unknown = await lastValueFrom(next.handle());
    const headers = Object.fromEntries(
      KEPT_HEADERS.flatMap((name) => (reply.hasHeader(name) ? [[name, String(reply.getHeader(name))]] : [])),
    );
    const ids = restsOn?.idsIn(answer) ?? [];
    const entry: Kept = {
      stamp,
      body: Buffer.from(JSON.stringify(answer)),
      headers,
      ...(ids.length > 0 && { rows: rows && ids.every((id) => rows.ids.includes(id)) ? rows : { ids, version: null } }),
    };
    if (holdsIf(answer)) this.before.kept.set(key, entry);
    return entry;
  }
}

/** The bounds of one answer. */
interface Bound {
  readonly holdsIf?: (answer: unknown) => boolean;
  readonly restsOn?: RestsOn<unknown>;
  /** As they were before it is found. */
  readonly rows?: RowsSeen | undefined;
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
