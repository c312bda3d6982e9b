/**
 * Looks things up by their keys, those of one turn of the event loop in one question. A key is never looked up by a question that was under way
 * when somebody asked for it: what was written before they asked is seen.
 */
export class TogetherLookup<T> {
  private waiting: Map<string, Promise<T | undefined>> | null = null;

  constructor(private readonly find: (keys: readonly string[]) => Promise<ReadonlyMap<string, T>>) {}

  of(key: string): Promise<T | undefined> {
    const asked = this.waiting?.get(key);
    if (asked) return asked;
    const { keys, answers } = this.turn();
    const answer = answers.then((found) => found.get(key));
    keys.set(key, answer);
    return answer;
  }

  private current: Promise<ReadonlyMap<string, T>> | null = null;

  /** The question that is asked at the end of this turn. */
  private turn(): { keys: Map<string, Promise<T | undefined>>; answers: Promise<ReadonlyMap<string, T>> } {
    if (this.waiting && this.current) return { keys: this.waiting, answers: this.current };
    const keys = new Map<string, Promise<T | undefined>>();
    const answers = new Promise<ReadonlyMap<string, T>>((resolve, reject) => {
      setImmediate(() => {
        this.waiting = null;
        this.current = null;
        this.find([...keys.keys()]).then(resolve, reject);
      });
    });
    this.waiting = keys;
    this.current = answers;
    return { keys, answers };
  }
}
