import { createRequire } from 'node:module';
import type {
  answerSuggestions,
  answerCompose,
  answerCopy,
  answerEvaluate,
  answerEvidence,
  answerForecasts,
  answerPredictions,
  answerSwap,
  answerTrace,
  answerTrend,
} from '@clay-pot/core/answers';
import { Injectable, type OnModuleDestroy } from '@nestjs/common';
import { Piscina } from 'piscina';
import { plain } from '../http/problem.js';

/** Functions of the core that are long enough to hold up every other request, by their names. */
interface Work {
  answerSuggestions: typeof answerSuggestions;
  answerCompose: typeof answerCompose;
  answerCopy: typeof answerCopy;
  answerEvaluate: typeof answerEvaluate;
  answerEvidence: typeof answerEvidence;
  answerForecasts: typeof answerForecasts;
  answerPredictions: typeof answerPredictions;
  answerSwap: typeof answerSwap;
  answerTrace: typeof answerTrace;
  answerTrend: typeof answerTrend;
}

const FUNCTIONS = createRequire(import.meta.url).resolve('@clay-pot/core/answers');
const MOST_THREADS = 2;
const MOST_WAITING = 64;
/** A thread that nobody asks anything is let go. */
const IDLE_MS = 30_000;
/** Longer than the longest question that is allowed takes on a slow machine. */
const TIME_LIMIT_MS = 20_000;

const BUSY = 'The server is busy with other calculations. Try again in a few seconds.';
/** The queue is full, or the time ran out. */
const isBusy = (error: unknown) =>
  error instanceof Error && (error.name === 'AbortError' || error.name === 'TimeoutError' || error.message.includes('queue is at limit'));

/** Computes beside the event loop, in threads that are started when they are first needed. */
@Injectable()
export class HeavyWork implements OnModuleDestroy {
  private pool: Piscina | undefined;

  /** What a function of the core answers. @throws 503 when too many wait already, or when it takes too long */
  run<Name extends keyof Work>(name: Name, question: Parameters<Work[Name]>[0]): Promise<Awaited<ReturnType<Work[Name]>>> {
    this.pool ??= new Piscina({
      filename: FUNCTIONS,
      minThreads: 0,
      maxThreads: MOST_THREADS,
      maxQueue: MOST_WAITING,
      idleTimeout: IDLE_MS,
    });
    const answer = this.pool.run(question, { name, signal: AbortSignal.timeout(TIME_LIMIT_MS) });
    return answer.catch((error: unknown) => {
      throw isBusy(error) ? plain(503, BUSY) : error;
    }) as Promise<Awaited<ReturnType<Work[Name]>>>;
  }

  async onModuleDestroy(): Promise<void> {
    await this.pool?.destroy();
  }
}
