/** A question that is asked at the end of this turn of the event loop. */
interface Turn<T> {
  readonly keys: Set<string>;
  readonly found: Promise<ReadonlyMap<string, T>>;
}

/**
 * Looks things up by their keys, those of one turn of the event loop in one question. A key is never looked up by a question that was under way
 * when somebody asked for it: what was written before they asked is seen.
 */
export class TogetherLookup<T> {
  private turn: Turn<T> | null = null;

  constructor(private readonly find: (keys: readonly string[]) => Promise<ReadonlyMap<string, T>>) {}

  async of(key: string): Promise<T | undefined> {
    this.turn ??= this.newTurn();
    this.turn.keys.add(key);
    return (await this.turn.found).get(key);
  }

  private newTurn(): Turn<T> {
    const keys = new Set<string>();
    const end = new Promise<void>((resolve) => {
      setImmediate(() => {
        this.turn = null;
        resolve();
      });
    });
    return { keys, found: end.then(() => this.find([...keys])) };
  }
}
