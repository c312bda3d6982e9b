import type { MovementInput, StoredMovement } from '@clay-pot/contracts';
import { checkMovement, type Movement, same } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { etagOf, versionOf } from '../http/etag.js';
import { conflict, invalid, staleEdit, versionNeeded } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { sumAnew } from '../sequences/sequence-sums.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { SessionRow } from '../sessions/session.entities.js';
import { MovementRow } from './movement.entity.js';

@Injectable()
export class MovementsService {
  constructor(
    private readonly clock: Clock,
    private readonly library: LibraryService,
  ) {}

  /** The studio's own, removed ones too: whoever shows a record needs them. */
  async list(scope: StudioScope): Promise<StoredMovement[]> {
    return (await scope.of(MovementRow).find({ order: { name: 'ASC' } })).map(present);
  }

  async get(scope: StudioScope, id: string): Promise<StoredMovement> {
    return present(await scope.of(MovementRow).get(id, 'movement'));
  }

  /** Creates or replaces, by the same rules as the shipped library is tested by. */
  async put(
    scope: StudioScope,
    id: string,
    input: MovementInput,
    ifMatch: string | undefined,
  ): Promise<StoredMovement> {
    const document: Movement = { ...input, id };
    const faults = checkMovement(document);
    if (faults.length) throw invalid(faults);
    const content = { name: document.name, document, updatedAt: this.clock.now() };
    if (ifMatch === undefined) {
      if (await scope.of(MovementRow).insert({ id, rowVersion: 1, removedAt: null, ...content }, 'movement')) {
        return this.get(scope, id);
      }
      const existing = await this.get(scope, id);
      if (same(existing.movement, document)) return existing;
      throw versionNeeded();
    }
    const before = await scope.of(MovementRow).get(id, 'movement');
    await this.keepUsedLevels(scope, before.document, document);
    const rowVersion = versionOf(ifMatch);
    const changed = await scope.of(MovementRow).update({ id, rowVersion }, { ...content, rowVersion: rowVersion + 1 });
    if (changed === 0) {
      const current = await this.get(scope, id);
      throw staleEdit({ current }, current.etag);
    }
    await sumAnew(scope, id, (await this.library.of(scope)).movement);
    return this.get(scope, id);
  }

  /** Takes it off the shelf, or puts it back. */
  async setRemoved(scope: StudioScope, id: string, removed: boolean): Promise<StoredMovement> {
    await scope.of(MovementRow).get(id, 'movement');
    await scope.of(MovementRow).update({ id }, { removedAt: removed ? this.clock.now() : null });
    return this.get(scope, id);
  }

  /** A level that a sequence or a record names must stay: its id is how they find it. */
  private async keepUsedLevels(scope: StudioScope, before: Movement, after: Movement): Promise<void> {
    const gone = before.ladder.filter(({ id }) => !after.ladder.some((level) => level.id === id));
    if (gone.length === 0) return;
    const sequences = await scope.of(SequenceRow).find();
    const sessions = await scope
      .of(SessionRow)
      .query('session')
      .andWhere('session.plan LIKE :id', { id: `%${before.id}%` })
      .getMany();
    const blocks = [...sequences.map(({ document }) => document), ...sessions.map(({ plan }) => plan)].flatMap(
      ({ blocks: all }) => all,
    );
    const used = gone.find(({ id }) => blocks.some((block) => block.movementId === before.id && block.levelId === id));
    if (used) throw conflict(`The level “${used.name}” is used in sequences or records: keep it in the ladder.`);
  }
}

function present({ id, rowVersion, updatedAt, removedAt, document }: MovementRow): StoredMovement {
  return {
    id,
    etag: etagOf(rowVersion),
    updatedAt: updatedAt.toISOString(),
    removed: removedAt !== null,
    movement: document,
  };
}
