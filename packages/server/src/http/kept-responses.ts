/** Characters that are kept of answers, over all studios. */
const MOST = 24_000_000;
/** One that is larger than this would push out too many others. */
const MOST_OF_ONE = MOST / 4;

/** Keeps what was used last, within a bound of size. */
export class KeptResponses<T> {
  /** In the order of their last use. */
  private readonly entries = new Map<string, T>();
  private size = 0;

  constructor(private readonly sizeOf: (entry: T) => number) {}

  get(key: string): T | undefined {
    const entry = this.entries.get(key);
    if (entry === undefined) return undefined;
    this.entries.delete(key);
    this.entries.set(key, entry);
    return entry;
  }

  set(key: string, entry: T): void {
    this.delete(key);
    if (this.sizeOf(entry) > MOST_OF_ONE) return;
    this.entries.set(key, entry);
    this.size += this.sizeOf(entry);
    for (const oldest of this.entries.keys()) {
      if (this.size <= MOST) break;
      this.delete(oldest);
    }
  }

  private delete(key: string): void {
    const entry = this.entries.get(key);
    if (entry === undefined) return;
    this.entries.delete(key);
    this.size -= this.sizeOf(entry);
  }
}
