import type { EntityTarget, FindOptionsWhere } from 'typeorm';
import type { Change } from './row-writer.js';
import { versionOf } from '../http/etag.js';
import { staleEdit, versionNeeded } from '../http/problem.js';
import type { StudioOwned, StudioScope } from './studio-scope.js';

/** A row that is edited by whoever has its last version. */
type Versioned = StudioOwned & { rowVersion: number; removedAt?: Date | null };

/** What is to be stored under an id, and what goes with it. */
interface Put<E extends Versioned, S> {
  /** The version that was edited, as its ETag; undefined where something new is created. */
  readonly ifMatch: string | undefined;
  /** What is written, new or not. */
  readonly content: Partial<E>;
  /** What a new row has besides. */
  readonly fresh?: Partial<E>;
  /** What is stored, as the API shows it. */
  readonly get: (scope: StudioScope) => Promise<S>;
  /** Whether what is stored already says the same: creating twice is one creation. */
  readonly isSame: (stored: S) => boolean;
  /** Asked in the transaction before a version is replaced; throws what keeps it from being. */
  readonly mayReplace?: (held: StudioScope) => Promise<void>;
  /** Done in the transaction once it is written: raises what depends on it. */
  readonly written?: (held: StudioScope) => Promise<void>;
  /** What a stale edit reports besides the current version. */
  readonly changes?: (current: S) => Record<string, unknown>;
}

/** Documents of a studio under optimistic locking: created once, replaced over the version that was edited, removed and restored. */
export class VersionedRows<E extends Versioned> {
  constructor(
    private readonly entity: EntityTarget<E>,
    /** What it is called to who looks for it. */
    private readonly what: string,
  ) {}

  /**
   * Creates or replaces. Creating twice with the same content is one creation; replacing needs the version that was edited.
   * @throws 428 without a version; 412 with the current version, if it changed since; 404 if it does not exist
   */
  async put<S extends { readonly etag: string }>(scope: StudioScope, id: string, put: Put<E, S>): Promise<S> {
    const { ifMatch, get, changes } = put;
    if (ifMatch === undefined) {
      if (await this.create(scope, id, put)) return get(scope);
      const stored = await get(scope);
      if (put.isSame(stored)) return stored;
      throw versionNeeded();
    }
    await scope.of(this.entity).get(id, this.what);
    const isReplaced = await this.isReplaced(scope, id, versionOf(ifMatch), put);
    const current = await get(scope);
    if (!isReplaced) throw staleEdit({ current, ...changes?.(current) }, current.etag);
    return current;
  }

  /** Creates. @returns false where the id is taken already */
  create(
    scope: StudioScope,
    id: string,
    { content, fresh, written }: Pick<Put<E, unknown>, 'content' | 'fresh' | 'written'>,
  ): Promise<boolean> {
    return scope.transaction(async (held) => {
      const row = { id, rowVersion: 1, ...fresh, ...content } as Omit<E, 'studioId'>;
      const isNew = await held.of(this.entity).insert(row, this.what);
      if (isNew) await written?.(held);
      return isNew;
    });
  }

  private isReplaced<S>(scope: StudioScope, id: string, rowVersion: number, { content, mayReplace, written }: Put<E, S>): Promise<boolean> {
    return scope.transaction(async (held) => {
      await mayReplace?.(held);
      const change = { ...content, rowVersion: rowVersion + 1 } as Change<E>;
      const replaced = await held.of(this.entity).update({ id, rowVersion } as FindOptionsWhere<E>, change);
      if (replaced > 0) await written?.(held);
      return replaced > 0;
    });
  }

  /** Takes something away, or puts it back: what names it keeps it. @param removedAt null to put it back @throws 404 for what is not there */
  async setRemovedAt(scope: StudioScope, id: string, removedAt: Date | null, written: (held: StudioScope) => Promise<void>): Promise<void> {
    await scope.of(this.entity).get(id, this.what);
    await scope.transaction(async (held) => {
      await held.of(this.entity).update({ id } as FindOptionsWhere<E>, { removedAt } as Change<E>);
      await written(held);
    });
  }
}
