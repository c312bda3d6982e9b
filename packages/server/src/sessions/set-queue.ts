import { Injectable } from '@nestjs/common';
import { isIdTaken, type StudioScope } from '../database/studio-scope.js';
import { shared } from '../http/request-context.js';
import { LibraryService } from '../library/library.service.js';
import { DoneSetRow } from './session.entities.js';
import { checkSame } from './session-rows.js';
import { addSets, rowOf, type SetOutcome, type SetToAdd } from './set-batches.js';

/** So many are stored in one go. */
const MOST_AT_ONCE = 100;

interface Waiting {
  readonly scope: StudioScope;
  readonly set: SetToAdd;
  readonly stored: () => void;
  readonly failed: (error: Error) => void;
}

/** Stores the sets that arrive while others are being stored in one transaction. Each is acknowledged once it is committed. */
@Injectable()
export class SetQueue {
  private readonly waiting = new Map<string, Waiting[]>();
  private readonly running = new Set<string>();

  constructor(private readonly library: LibraryService) {}

  /** @returns once it is stored @throws what is wrong with it, or why nothing could be stored */
  add(scope: StudioScope, set: SetToAdd): Promise<void> {
    const { studioId } = scope;
    return new Promise((stored, failed) => {
      this.waiting.set(studioId, [...(this.waiting.get(studioId) ?? []), { scope, set, stored, failed }]);
      if (this.running.has(studioId)) return;
      this.running.add(studioId);
      shared(() => setImmediate(() => void this.work(studioId)));
    });
  }

  private async work(studioId: string): Promise<void> {
    for (let some = this.next(studioId); some.length > 0; some = this.next(studioId)) await this.store(some);
    this.running.delete(studioId);
  }

  private next(studioId: string): Waiting[] {
    const all = this.waiting.get(studioId) ?? [];
    const some = all.slice(0, MOST_AT_ONCE);
    if (some.length < all.length) this.waiting.set(studioId, all.slice(some.length));
    else this.waiting.delete(studioId);
    return some;
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
    const storing = addSets(first.scope, library, sets);
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
