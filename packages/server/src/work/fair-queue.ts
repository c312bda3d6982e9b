/** Bounds of a queue. */
export interface QueueBounds {
  /** How many pieces of work run at once; of the long ones, and those that nobody waits for, one less. */
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
  /** Takes seconds by its nature: some room is always left for the rest. */
  readonly long?: boolean;
  /** Nobody waits: it runs when nothing else does, and is never refused. */
  readonly background?: boolean;
  /** The asker has gone: what waits is dropped, and what runs is told. */
  readonly abandoned?: AbortSignal | undefined;
}

interface Waiting extends Asker {
  readonly begin: () => void;
}
interface Running extends Asker {
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
  /** When owners were last served, in turns. */
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

  /** How long work would wait now, milliseconds: the turns of everybody before it are played through with what such work took of late. */
  waitMs(asker: Asker): number {
    const now = this.nowMs();
    const ends = [...this.running].map((each) => ({ ...each, atMs: Math.max(0, this.expectedMs(each) - (now - each.sinceMs)) }));
    const waiting: Asker[] = [...this.waiting.filter(({ background = false }) => !background), asker];
    const served = new Map(this.served);
    let atMs = 0;
    for (let turn = this.turn + 1; ; turn++) {
      const next = nextOf(waiting, ends, served, this.bounds.atOnce);
      if (next === asker) return atMs;
      if (next) {
        waiting.splice(waiting.indexOf(next), 1);
        served.set(next.owner, turn);
        ends.push({ ...next, sinceMs: 0, atMs: atMs + this.expectedMs(next) });
        continue;
      }
      const first = ends.reduce((soonest, each) => (each.atMs < soonest.atMs ? each : soonest));
      ends.splice(ends.indexOf(first), 1);
      ({ atMs } = first);
    }
  }

  private expectedMs({ kind }: Asker): number {
    return this.tookMs.get(kind) ?? this.bounds.usualMs;
  }

  private refuseTooLong(asker: Asker): void {
    const waitMs = this.waitMs(asker);
    if (waitMs > this.bounds.longestWaitMs) throw new BusyError(Math.max(1, Math.ceil((waitMs - this.bounds.longestWaitMs) / 1000)));
  }

  /** Resolves once it has begun. */
  private turnOf(asker: Asker): Promise<Running> {
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
      this.startNext();
    });
  }

  private begun(asker: Asker): Running {
    const running = { ...asker, sinceMs: this.nowMs() };
    this.running.add(running);
    this.served.set(asker.owner, ++this.turn);
    return running;
  }

  private ended(running: Running): void {
    this.running.delete(running);
    const took = this.nowMs() - running.sinceMs;
    const before = this.tookMs.get(running.kind) ?? took;
    this.tookMs.set(running.kind, before + NEWEST * (took - before));
    // Nobody waits: who was served when doesn't matter any more.
    if (this.waiting.length === 0) this.served.clear();
    else this.startNext();
  }

  private startNext(): void {
    for (let next = this.next(); next; next = this.next()) {
      this.waiting.splice(this.waiting.indexOf(next), 1);
      next.begin();
    }
  }

  private next(): Waiting | undefined {
    const running = [...this.running];
    const asked = this.waiting.filter(({ background = false }) => !background);
    return (
      nextOf(asked, running, this.served, this.bounds.atOnce) ??
      nextOf(
        this.waiting.filter(({ background = false }) => background),
        running,
        this.served,
        this.bounds.atOnce,
      )
    );
  }
}

/** Who begins next: the owner who was served longest ago, and of theirs the oldest; nobody while there is no room. */
function nextOf<A extends Asker>(
  waiting: readonly A[],
  running: readonly Asker[],
  served: ReadonlyMap<string, number>,
  atOnce: number,
): A | undefined {
  if (running.length >= atOnce) return undefined;
  const isRoomForMore = running.filter(leavesRoom).length < Math.max(1, atOnce - 1);
  const [first, ...others] = waiting.filter((each) => isRoomForMore || !leavesRoom(each));
  const lastServed = ({ owner }: A) => served.get(owner) ?? 0;
  return first && others.reduce((best, each) => (lastServed(each) < lastServed(best) ? each : best), first);
}

/** What may not take all the room that there is: who waits for an answer that is soon found shall not wait for it. */
const leavesRoom = ({ long = false, background = false }: Asker): boolean => long || background;
