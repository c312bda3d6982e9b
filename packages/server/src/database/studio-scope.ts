import { Column, type EntityManager, type EntityTarget, type FindOptionsWhere, PrimaryColumn, type SelectQueryBuilder } from 'typeorm';
import type { Change } from './row-writer.js';
import { notFound } from '../http/problem.js';
import { ask, command } from './quick-query.js';
import { insertRows, updateRows } from './row-writer.js';
import { readRows, type RowsWanted } from './row-reader.js';
import { raiseRevision, raisesRevision } from './studio-revision.js';

/** A row that belongs to a studio: what every such table has. */
export abstract class StudioOwned {
  @PrimaryColumn('char', { length: 36 })
  id: string;

  @Column('char', { name: 'studio_id', length: 36 })
  studioId: string;
}

/** Thrown where a row has something that only one may have, and another has it. */
export class DuplicateError extends Error {
  override readonly name = 'TakenError';
}

/** Which key the database found taken: that of the id, or another; null where it was something else that went wrong. */
function duplicateOf(error: unknown): { isId: boolean } | null {
  const { code, sqlMessage = '' } = error as { code?: string; sqlMessage?: string };
  return code === 'ER_DUP_ENTRY' ? { isId: /key '([^']*\.)?PRIMARY'$/.test(sqlMessage) } : null;
}

/** Whether something failed because its id is stored already, of whichever studio. */
export const isIdTaken = (error: unknown): boolean => duplicateOf(error)?.isId ?? false;

/** What a transaction has done so far. */
interface Writes {
  raiseRevision: boolean;
}

/**
 * The only door to a studio's rows. Services get a scope, never a bare repository, so that the studio is applied here and
 * nowhere else: what belongs to another studio does not exist.
 */
export class StudioScope {
  constructor(
    readonly studioId: string,
    readonly timeZone: string,
    private readonly manager: EntityManager,
    /** What is stored, as of when the request began; null where that isn’t known. */
    readonly revision: number | null = null,
    private readonly writes: Writes | null = null,
  ) {}

  /** Runs work that succeeds or fails as one. */
  transaction<T>(work: (scope: StudioScope) => Promise<T>): Promise<T> {
    if (this.writes) return work(this);
    const writes: Writes = { raiseRevision: false };
    return this.manager.transaction(async (manager) => {
      const result = await work(new StudioScope(this.studioId, this.timeZone, manager, null, writes));
      // Last, so that others who write wait no longer than the commit takes.
      if (writes.raiseRevision) await raiseRevision(manager, this.studioId);
      return result;
    });
  }

  /** In a transaction: nobody else who asks the same of this studio goes on until it ends. For what is replaced as a whole. */
  async holdStudio(): Promise<void> {
    await this.manager.query('SELECT id FROM studios WHERE id = ? FOR UPDATE', [this.studioId]);
  }

  /** The same studio for another piece of work: what was read once for this one is read again. */
  fresh(): StudioScope {
    return new StudioScope(this.studioId, this.timeZone, this.manager, null, this.writes);
  }

  of<E extends StudioOwned>(entity: EntityTarget<E>): ScopedRows<E> {
    return new ScopedRows(this, entity, this.manager);
  }

  /** Rows of a SELECT whose first parameter is the studio. */
  select<R>(text: string, parameters: readonly unknown[] = []): Promise<R[]> {
    return ask(this.manager, text, [this.studioId, ...parameters]);
  }

  /** An UPDATE whose last parameter is the studio, of what no kept answer shows. */
  async change(text: string, parameters: readonly unknown[]): Promise<void> {
    await command(this.manager, text, [...parameters, this.studioId]);
  }

  /** Does a write in the transaction that raises the studio’s revision, this one or one of its own. */
  written<T>(work: (scope: StudioScope) => Promise<T>): Promise<T> {
    const { writes } = this;
    if (!writes) return this.transaction((held) => held.written(work));
    writes.raiseRevision = true;
    return work(this);
  }
}

/** One table’s rows of one studio. */
export class ScopedRows<E extends StudioOwned> {
  private readonly studioId: string;

  constructor(
    private readonly scope: StudioScope,
    private readonly entity: EntityTarget<E>,
    private readonly manager: EntityManager,
  ) {
    this.studioId = scope.studioId;
  }

  find({ where = {}, ...more }: Partial<RowsWanted<E>> = {}): Promise<E[]> {
    return readRows(this.manager, this.entity, { where: this.whereIn(where), ...more });
  }

  async one(where: FindOptionsWhere<E>): Promise<E | null> {
    const [row] = await this.find({ where, take: 1 });
    return row ?? null;
  }

  /** @throws 404 naming what was looked for. */
  async get(id: string, what: string): Promise<E> {
    const row = await this.one({ id } as FindOptionsWhere<E>);
    if (!row) throw notFound(what);
    return row;
  }

  /** As `get`, and nobody else changes the row until the transaction ends. @throws 404 naming what was looked for. */
  async hold(id: string, what: string): Promise<E> {
    const [row] = await this.find({ where: { id } as FindOptionsWhere<E>, forUpdate: true });
    if (!row) throw notFound(what);
    return row;
  }

  /**
   * Adds a row. @returns false when the id is taken in this studio.
   * @throws 404 when the id belongs to somebody else, which is all that may be revealed; `TakenError` when something else of it is taken.
   */
  async insert(row: Omit<E, 'studioId'>, what: string): Promise<boolean> {
    try {
      await this.write((manager) => insertRows(manager, this.entity, [this.owned(row)]));
      return true;
    } catch (error) {
      const taken = duplicateOf(error);
      if (!taken) throw error;
      if (!taken.isId) throw new DuplicateError(what);
      await this.get((row as Pick<StudioOwned, 'id'>).id, what);
      return false;
    }
  }

  /**
   * @param isShown whether a kept answer shows what is changed
   * @returns how many rows were changed. @throws `TakenError` when another row has what only one may have
   */
  async update(where: FindOptionsWhere<E>, change: Change<E>, { isShown = true } = {}): Promise<number> {
    try {
      return await this.write((manager) => updateRows(manager, this.entity, this.whereIn(where), change), isShown);
    } catch (error) {
      throw duplicateOf(error) ? new DuplicateError('row') : error;
    }
  }

  /** Counts a column up by one: of two at once both count. */
  async raise(where: FindOptionsWhere<E>, column: keyof E & string): Promise<void> {
    await this.write((manager) => manager.getRepository(this.entity).increment(this.whereIn(where), column, 1));
  }

  /** Adds rows in one statement: all of them or none. */
  async insertAll(rows: readonly Omit<E, 'studioId'>[]): Promise<void> {
    if (rows.length === 0) return;
    await this.write((manager) =>
      insertRows(
        manager,
        this.entity,
        rows.map((row) => this.owned(row)),
      ),
    );
  }

  /** Adds a row, unless another has what only one may have. */
  async insertUnlessDuplicate(row: Omit<E, 'studioId'>): Promise<void> {
    try {
      await this.write((manager) => insertRows(manager, this.entity, [this.owned(row)]));
    } catch (error) {
      if (!duplicateOf(error)) throw error;
    }
  }

  async remove(where: FindOptionsWhere<E>): Promise<number> {
    return (await this.write((manager) => manager.getRepository(this.entity).delete(this.whereIn(where)))).affected ?? 0;
  }

  /** A query that already has its WHERE: add to it with `andWhere`. */
  query(alias: string): SelectQueryBuilder<E> {
    return this.manager
      .getRepository(this.entity)
      .createQueryBuilder(alias)
      .where(`${alias}.studio_id = :studioId`, { studioId: this.studioId });
  }

  /** Writes, and raises the revision of the studio where lists show such rows. */
  private write<T>(work: (manager: EntityManager) => Promise<T>, isShown = raisesRevision(this.entity as EntityTarget<never>)): Promise<T> {
    if (!isShown) return work(this.manager);
    return this.scope.written((held) => work(held.of(this.entity).manager));
  }

  private owned(row: Omit<E, 'studioId'>): Partial<Record<keyof E, unknown>> {
    return { ...row, studioId: this.studioId } as Partial<Record<keyof E, unknown>>;
  }

  private whereIn(where: FindOptionsWhere<E>): FindOptionsWhere<E> {
    return { ...where, studioId: this.studioId };
  }
}
