/** Bounds of a queue. */
export interface QueueBounds {
  /** How many pieces of work run at once. */
  readonly atOnce: number;
  /** Work that would begin later than this is refused at once: whoever asks has gone by then. */
  readonly longestWaitMs: number;
  /** How long work takes of which none was done yet. */
  readonly usualMs: number;
}

/** Thrown where work would wait too long. */
export class BusyError extends Error {
  override readonly name = 'BusyError';
  constructor(readonly retryAfterS: number) {
    super(`Busy for about ${retryAfterS} s.`);
  }
}

/** Whose work it is, of what kind, and whether somebody waits for it. */
export interface Asker {
  /** Owners take turns. */
  readonly owner: string;
  readonly kind: string;
  /** Nobody waits: it runs when nothing else does, and is never refused. */
  readonly background?: boolean;
  /** The asker has gone: what waits is dropped, and what runs is told. */
  readonly abandoned?: AbortSignal | undefined;
}

interface Waiting extends Asker {
  readonly begin: () => void;
}

interface Running {
  readonly kind: string;
  readonly sinceMs: number;
}

/** How far the last duration of a kind moves what is expected of the next. */
const NEWEST = 0.3;

/**
 * Work that runs a few at a time. Owners take turns, so that one who asks for much makes only themselves wait; what nobody waits for comes last; what would wait
 * too long is refused at once, with the time after which it may be tried again.
 */
export class FairQueue {
  private readonly waiting: Waiting[] = [];
  private readonly running = new Set<Running>();
  private readonly tookMs = new Map<string, number>();
  /** Owners in the order in which they were last served. */
  private readonly served = new Map<string, number>();
  private turn = 0;

  constructor(
    private readonly bounds: QueueBounds,
    private readonly nowMs: () => number = () => performance.now(),
  ) {}

  /**
   * Runs a piece of work in its turn.
   * @throws BusyError when it would wait too long; the reason of `abandoned` once its asker has gone
   */
  async run<T>(asker: Asker, work: () => Promise<T>): Promise<T> {
    asker.abandoned?.throwIfAborted();
    if (!asker.background) this.refuseTooLong(asker);
    const running = await this.turnOf(asker);
    try {
      return await work();
    } finally {
      this.ended(running);
    }
  }

  /** How long work of an owner would wait now, milliseconds. */
  waitMs(owner: string): number {
    const asked = this.waiting.filter(({ background = false }) => !background);
    const mine = asked.filter((each) => each.owner === owner).length;
    const beforeMe = new Map<string, number>();
    let ahead = 0;
    for (const { owner: whose, kind } of asked) {
      const seen = beforeMe.get(whose) ?? 0;
      beforeMe.set(whose, seen + 1);
      // Owners take turns: of the others no more goes first than there is of mine.
      if (whose === owner || seen <= mine) ahead += this.expectedMs(kind);
    }
    if (this.running.size < this.bounds.atOnce) return 0;
    const now = this.nowMs();
    const left = [...this.running].reduce((sum, { kind, sinceMs }) => sum + Math.max(0, this.expectedMs(kind) - (now - sinceMs)), 0);
    return (ahead + left) / this.bounds.atOnce;
  }

  private expectedMs(kind: string): number {
    return this.tookMs.get(kind) ?? this.bounds.usualMs;
  }

  private refuseTooLong({ owner }: Asker): void {
    const waitMs = this.waitMs(owner);
    if (waitMs > this.bounds.longestWaitMs) throw new BusyError(Math.max(1, Math.ceil((waitMs - this.bounds.longestWaitMs) / 1000)));
  }

  /** Resolves once it has begun. */
  private turnOf(asker: Asker): Promise<Running> {
    if (this.running.size < this.bounds.atOnce && this.waiting.length === 0) return Promise.resolve(this.begun(asker));
    return new Promise((resolve, reject) => {
      const { abandoned } = asker;
      const leave = () => {
        this.waiting.splice(this.waiting.indexOf(entry), 1);
        reject(abandoned?.reason as Error);
      };
      const entry: Waiting = {
        ...asker,
        begin: () => {
          abandoned?.removeEventListener('abort', leave);
          resolve(this.begun(asker));
        },
      };
      abandoned?.addEventListener('abort', leave, { once: true });
      this.waiting.push(entry);
    });
  }

  private begun({ owner, kind }: Asker): Running {
    const running = { kind, sinceMs: this.nowMs() };
    this.running.add(running);
    this.served.set(owner, ++this.turn);
    return running;
  }

  private ended(running: Running): void {
    this.running.delete(running);
    const took = this.nowMs() - running.sinceMs;
    const before = this.tookMs.get(running.kind) ?? took;
    this.tookMs.set(running.kind, before + NEWEST * (took - before));
    const next = this.next();
    // Nobody waits: who was served when doesn't matter any more.
    if (!next) return this.served.clear();
    this.waiting.splice(this.waiting.indexOf(next), 1);
    next.begin();
  }

  /** What was asked before what nobody waits for; the owner who was served longest ago; of theirs the oldest. */
  private next(): Waiting | undefined {
    const asked = this.waiting.filter(({ background = false }) => !background);
    const [first, ...others] = asked.length > 0 ? asked : this.waiting;
    if (!first) return undefined;
    const lastServed = ({ owner }: Waiting) => this.served.get(owner) ?? 0;
    return others.reduce((best, each) => (lastServed(each) < lastServed(best) ? each : best), first);
  }
}
