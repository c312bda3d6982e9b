import {
  Column,
  type DeepPartial,
  type EntityManager,
  type EntityTarget,
  type FindManyOptions,
  type FindOptionsWhere,
  PrimaryColumn,
  type Repository,
  type SelectQueryBuilder,
} from 'typeorm';
import type { QueryDeepPartialEntity } from 'typeorm/query-builder/QueryPartialEntity.js';
import { notFound } from '../http/problem.js';

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

/**
 * The only door to a studio's rows. Services get a scope, never a bare repository, so that the studio is applied here and
 * nowhere else: what belongs to another studio does not exist.
 */
export class StudioScope {
  constructor(
    readonly studioId: string,
    readonly timeZone: string,
    private readonly manager: EntityManager,
  ) {}

  /** Runs work that succeeds or fails as one. */
  transaction<T>(work: (scope: StudioScope) => Promise<T>): Promise<T> {
    return this.manager.transaction((manager) => work(new StudioScope(this.studioId, this.timeZone, manager)));
  }

  /** In a transaction: nobody else who asks the same of this studio goes on until it ends. For what is replaced as a whole. */
  async holdStudio(): Promise<void> {
    await this.manager.query('SELECT id FROM studios WHERE id = ? FOR UPDATE', [this.studioId]);
  }

  /** The same studio for another piece of work: what was read once for this one is read again. */
  fresh(): StudioScope {
    return new StudioScope(this.studioId, this.timeZone, this.manager);
  }

  of<E extends StudioOwned>(entity: EntityTarget<E>): ScopedRows<E> {
    return new ScopedRows(this.studioId, this.manager.getRepository(entity));
  }
}

/** One table’s rows of one studio. */
export class ScopedRows<E extends StudioOwned> {
  constructor(
    private readonly studioId: string,
    private readonly rows: Repository<E>,
  ) {}

  find(options: Omit<FindManyOptions<E>, 'where'> & { where?: FindOptionsWhere<E> } = {}): Promise<E[]> {
    return this.rows.find({ ...options, where: this.whereIn(options.where ?? {}) });
  }

  one(where: FindOptionsWhere<E>): Promise<E | null> {
    return this.rows.findOneBy(this.whereIn(where));
  }

  /** @throws 404 naming what was looked for. */
  async get(id: string, what: string): Promise<E> {
    const row = await this.one({ id } as FindOptionsWhere<E>);
    if (!row) throw notFound(what);
    return row;
  }

  /** As `get`, and nobody else changes the row until the transaction ends. @throws 404 naming what was looked for. */
  async hold(id: string, what: string): Promise<E> {
    const where = this.whereIn({ id } as FindOptionsWhere<E>);
    const row = await this.rows.findOne({ where, lock: { mode: 'pessimistic_write' } });
    if (!row) throw notFound(what);
    return row;
  }

  /**
   * Adds a row. @returns false when the id is taken in this studio.
   * @throws 404 when the id belongs to somebody else, which is all that may be revealed; `TakenError` when something else of it is taken.
   */
  async insert(row: Omit<E, 'studioId'>, what: string): Promise<boolean> {
    try {
      await this.rows.insert({ ...row, studioId: this.studioId } as QueryDeepPartialEntity<E>);
      return true;
    } catch (error) {
      const taken = duplicateOf(error);
      if (!taken) throw error;
      if (!taken.isId) throw new DuplicateError(what);
      await this.get((row as Pick<StudioOwned, 'id'>).id, what);
      return false;
    }
  }

  /** @returns how many rows were changed. @throws `TakenError` when another row has what only one may have */
  async update(where: FindOptionsWhere<E>, change: DeepPartial<E>): Promise<number> {
    try {
      const result = await this.rows.update(this.whereIn(where), change as QueryDeepPartialEntity<E>);
      return result.affected ?? 0;
    } catch (error) {
      throw duplicateOf(error) ? new DuplicateError('row') : error;
    }
  }

  /** Counts a column up by one: of two at once both count. */
  async raise(where: FindOptionsWhere<E>, column: keyof E & string): Promise<void> {
    await this.rows.increment(this.whereIn(where), column, 1);
  }

  /** Adds rows in one statement: all of them or none. */
  async insertAll(rows: readonly Omit<E, 'studioId'>[]): Promise<void> {
    if (rows.length === 0) return;
    await this.rows.insert(rows.map((row) => ({ ...row, studioId: this.studioId }) as QueryDeepPartialEntity<E>));
  }

  /** Adds a row, unless another has what only one may have. */
  async insertUnlessDuplicate(row: Omit<E, 'studioId'>): Promise<void> {
    try {
      await this.rows.insert({ ...row, studioId: this.studioId } as QueryDeepPartialEntity<E>);
    } catch (error) {
      if (!duplicateOf(error)) throw error;
    }
  }

  async remove(where: FindOptionsWhere<E>): Promise<number> {
    return (await this.rows.delete(this.whereIn(where))).affected ?? 0;
  }

  /** A query that already has its WHERE: add to it with `andWhere`. */
  query(alias: string): SelectQueryBuilder<E> {
    return this.rows.createQueryBuilder(alias).where(`${alias}.studio_id = :studioId`, { studioId: this.studioId });
  }

  private whereIn(where: FindOptionsWhere<E>): FindOptionsWhere<E> {
    return { ...where, studioId: this.studioId };
  }
}
