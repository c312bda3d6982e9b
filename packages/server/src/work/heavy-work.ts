import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import type * as answers from '@clay-pot/core/answers';
import type * as calendar from '../calendar/calendar-work.js';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { busy } from '../http/problem.js';
import { AbandonedError, currentRequest } from '../http/request-context.js';
import { BusyError, FairQueue } from './fair-queue.js';

/** What is long enough to hold up every other request, by its name. */
type Work = Pick<
  typeof answers,
  | 'answerClassPlan'
  | 'answerClassRecords'
  | 'answerSuggestions'
  | 'answerCompose'
  | 'answerCopy'
  | 'answerEvaluate'
  | 'answerEvidence'
  | 'answerLevels'
  | 'answerOffers'
  | 'answerOpen'
  | 'answerPast'
  | 'answerPredictions'
  | 'answerRead'
  | 'answerSession'
  | 'answerSwap'
  | 'answerTimeline'
  | 'answerTrace'
  | 'answerTrend'
> &
  Pick<typeof calendar, 'answerCalendar'>;
type Named = keyof Work;

const FUNCTIONS = fileURLToPath(new URL('thread.js', import.meta.url));
/** One core is left to answer requests and to the database. */
const THREADS = Math.max(2, availableParallelism() - 1);
/** A thread that nobody asks anything is let go, but for one: a new one takes a second until it answers. */
const IDLE_MS = 30_000;
/** From the start of the work: longer than the longest question that is allowed takes on a slow machine. */
const TIME_LIMIT_MS = 20_000;
/** Whoever would wait longer is told so at once, so that an answer comes within two seconds or an honest refusal does. */
const LONGEST_WAIT_MS = 800;
const USUAL_MS = 300;
/** Takes seconds: a solver, weeks of a programme. */
const LONG: ReadonlySet<Named> = new Set(['answerCompose', 'answerCopy', 'answerSwap', 'answerEvaluate']);
const NOBODY = '';
/** What the pool says of work whose thread ended under it. */
const THREAD_ENDED = 'Terminating worker thread';
const MOST_TRIES = 4;

/** Computes beside the event loop, in threads that are started when they are first needed. */
@Injectable()
export class HeavyWork implements OnModuleDestroy {
  private pool: Piscina | undefined;
  private isEnding = false;
  private readonly queue = new FairQueue({ atOnce: THREADS, longestWaitMs: LONGEST_WAIT_MS, usualMs: USUAL_MS });

  /**
   * What a function of the core answers. Studios take turns; a request that is abandoned stops its work.
   * @param background nobody waits for it
   * @throws 503 with the time to wait, when it would begin too late or takes too long
   */
  async run<Name extends Named>(
    name: Name,
    question: Parameters<Work[Name]>[0],
    { background = false } = {},
  ): Promise<Awaited<ReturnType<Work[Name]>>> {
    const { studioId, abandoned } = currentRequest() ?? {};
    const asker = { owner: studioId ?? NOBODY, kind: name, long: LONG.has(name), background, abandoned };
    try {
      return (await this.queue.run(asker, () => this.compute(name, question, abandoned))) as Awaited<ReturnType<Work[Name]>>;
    } catch (error) {
      if (error instanceof BusyError) throw busy(error.retryAfterS);
      const isStopped = error instanceof Error && error.name === 'AbortError';
      if (!isStopped) throw error;
      throw abandoned?.aborted ? new AbandonedError() : busy(TIME_LIMIT_MS / 1000);
    }
  }

  /** Starts the first thread, where it isn’t yet. */
  start(): Piscina {
    return (this.pool ??= new Piscina({ filename: FUNCTIONS, minThreads: 1, maxThreads: THREADS, idleTimeout: IDLE_MS }));
  }

  /** The clock begins with the work. */
  private async compute(name: Named, question: unknown, abandoned: AbortSignal | undefined): Promise<unknown> {
    const stop = new AbortController();
    const timer = setTimeout(() => stop.abort(), TIME_LIMIT_MS);
    const leave = () => stop.abort();
    abandoned?.addEventListener('abort', leave, { once: true });
    try {
      return await this.inThread(this.start(), name, question, stop.signal);
    } finally {
      clearTimeout(timer);
      abandoned?.removeEventListener('abort', leave);
    }
  }

  /** A thread that ends with work that was stopped may have been given the next already: that is done by another. Nothing is changed by computing twice. */
  private async inThread(pool: Piscina, name: Named, question: unknown, signal: AbortSignal): Promise<unknown> {
    for (let tries = 1; ; tries++) {
      try {
        return (await pool.run(question, { name, signal })) as unknown;
      } catch (error) {
        const isThreadGone = error instanceof Error && error.message.includes(THREAD_ENDED) && !this.isEnding;
        if (!isThreadGone || signal.aborted || tries === MOST_TRIES) throw error;
      }
    }
  }

  async onModuleDestroy(): Promise<void> {
    this.isEnding = true;
    await this.pool?.destroy();
  }
}
