import { Injectable } from '@nestjs/common';
import { isIdTaken, type StudioScope } from '../database/studio-scope.js';
import { shared } from '../http/request-context.js';
import { LibraryService } from '../library/library.service.js';
import { DoneSetRow } from './session.entities.js';
import { checkSame } from './session-rows.js';
import { addSets, KnownSets, rowOf, type SetOutcome, type SetToAdd } from './set-batches.js';

/** So many are stored in one go, and so many goes are under way at once in a studio: while one waits for the disk another is put together. */
const MOST_AT_ONCE = 50;
const MOST_RUNNING = 2;

interface StudioQueue {
  waiting: Waiting[];
  /** Sessions that are being written to. */
  readonly busy: Set<string>;
  running: number;
  /** Whether it is about to begin with what waits. */
  isDue: boolean;
}

interface Waiting {
  readonly scope: StudioScope;
  readonly set: SetToAdd;
  readonly stored: () => void;
  readonly failed: (error: Error) => void;
}

/** Stores the sets that arrive while others are being stored in one transaction. Each is acknowledged once it is committed. */
@Injectable()
export class SetQueue {
  private readonly studios = new Map<string, StudioQueue>();
  private readonly known = new KnownSets();

  constructor(private readonly library: LibraryService) {}

  /** @returns once it is stored @throws what is wrong with it, or why nothing could be stored */
  add(scope: StudioScope, set: SetToAdd): Promise<void> {
    const { studioId } = scope;
    const queue = this.studios.get(studioId) ?? { waiting: [], busy: new Set<string>(), running: 0, isDue: false };
    this.studios.set(studioId, queue);
    return new Promise((stored, failed) => {
      queue.waiting.push({ scope, set, stored, failed });
      // What arrives in one turn of the event loop goes together.
      if (queue.isDue) return;
      queue.isDue = true;
      shared(() => setImmediate(() => this.start(studioId, queue)));
    });
  }

  /** Begins with what waits. Sets of a session that is being written to wait for it. */
  private start(studioId: string, queue: StudioQueue): void {
    queue.isDue = false;
    if (queue.running >= MOST_RUNNING) return;
    const some = queue.waiting.filter(({ set }) => !queue.busy.has(set.sessionId)).slice(0, MOST_AT_ONCE);
    if (some.length === 0) {
      if (queue.running === 0) this.studios.delete(studioId);
      return;
    }
    const taken = new Set(some);
    queue.waiting = queue.waiting.filter((each) => !taken.has(each));
    const sessions = some.map(({ set }) => set.sessionId);
    for (const id of sessions) queue.busy.add(id);
    queue.running++;
    void this.store(some).finally(() => {
      for (const id of sessions) queue.busy.delete(id);
      queue.running--;
      this.start(studioId, queue);
    });
  }

  private async store(some: readonly Waiting[]): Promise<void> {
    try {
      const outcomes = await this.outcomesOf(some);
      some.forEach(({ stored, failed }, index) => {
        const outcome = outcomes[index];
        if (outcome) failed(outcome);
        else stored();
      });
    } catch (error) {
      if (isIdTaken(error) && some.length > 1) {
        // Which one it is shows alone, and the others are stored.
        for (const each of some) await this.store([each]);
        return;
      }
      for (const { failed } of some) failed(error as Error);
    }
  }

  private async outcomesOf(some: readonly Waiting[]): Promise<SetOutcome[]> {
    const [first] = some;
    if (!first) return [];
    const sets = some.map(({ set }) => set);
    const library = await this.library.of(first.scope);
    const storing = addSets(first.scope, library, sets, this.known);
    if (sets.length > 1) return storing;
    return storing.catch(async (error: unknown) => {
      if (!isIdTaken(error)) throw error;
      const { id, input, sessionId } = first.set;
      // Another studio’s is not there; another session’s, or one that was stored a moment ago, is compared.
      checkSame<object>(await first.scope.of(DoneSetRow).get(id, 'set'), rowOf({ id, input, sessionId }), 'set');
      return [null];
    });
  }
}
