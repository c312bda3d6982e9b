import type { MovementInput, StoredMovement } from '@clay-pot/contracts';
import { checkMovement, checkSequence, findLevel, type Movement, type MovementLookup, same, sentence } from '@clay-pot/core';
import { checkPlainName } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { etagOf, versionOf } from '../http/etag.js';
import { conflict, invalid, staleEdit, versionNeeded } from '../http/problem.js';
import { raiseEvidenceOfAll } from '../kept/evidence-revision.js';
import { LibraryService } from '../library/library.service.js';
import { sumAnew } from '../sequences/sequence-sums.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { SessionRow } from '../sessions/session.entities.js';
import { MovementRow } from './movement.entity.js';

/** Keeps movements of the studio’s own; what is used by a sequence stays possible. */
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
  async put(scope: StudioScope, id: string, input: MovementInput, ifMatch: string | undefined): Promise<StoredMovement> {
    const document: Movement = { ...input, id };
    const faults = [...checkMovement(document), ...checkPlainName(document, await this.library.of(scope))];
    if (faults.length) throw invalid(faults);
    const content = { name: document.name, document, updatedAt: this.clock.now() };
    if (ifMatch === undefined) {
      const isNew = await scope.transaction(async (held) => {
        const isIn = await held.of(MovementRow).insert({ id, rowVersion: 1, removedAt: null, ...content }, 'movement');
        if (isIn) await raiseEvidenceOfAll(held);
        return isIn;
      });
      if (isNew) return this.get(scope, id);
      const existing = await this.get(scope, id);
      if (same(existing.movement, document)) return existing;
      throw versionNeeded();
    }
    const rowVersion = versionOf(ifMatch);
    await scope.transaction(async (held) => {
      const before = (await held.of(MovementRow).hold(id, 'movement')).document;
      const known = await this.library.of(held);
      const lookup = (movementId: string) => (movementId === id ? document : known.movement(movementId));
      await keepUses(held, before, document, { before: known.movement, after: lookup });
      const change = { ...content, rowVersion: rowVersion + 1 };
      if ((await held.of(MovementRow).update({ id, rowVersion }, change)) === 0) {
        const current = await this.get(held, id);
        throw staleEdit({ current }, current.etag);
      }
      await sumAnew(held, id, lookup);
      await raiseEvidenceOfAll(held);
    });
    return this.get(scope, id);
  }

  /** Takes it off the shelf, or puts it back. */
  async setRemoved(scope: StudioScope, id: string, removed: boolean): Promise<StoredMovement> {
    await scope.of(MovementRow).get(id, 'movement');
    await scope.transaction(async (held) => {
      await held.of(MovementRow).update({ id }, { removedAt: removed ? this.clock.now() : null });
      await raiseEvidenceOfAll(held);
    });
    return this.get(scope, id);
  }
}

/**
 * What sequences and records do with a movement must stay possible: they are compiled with the movement as it is now. @throws 409 naming what
 * stands against the change
 */
async function keepUses(
  scope: StudioScope,
  before: Movement,
  after: Movement,
  lookups: { before: MovementLookup; after: MovementLookup },
): Promise<void> {
  const named = { named: `%${before.id}%` };
  const sequences = await scope.of(SequenceRow).query('sequence').andWhere('sequence.document LIKE :named', named).getMany();
  const sessions = await scope.of(SessionRow).query('session').andWhere('session.plan LIKE :named', named).getMany();
  const uses = [...sequences.map(({ document }) => document), ...sessions.map(({ plan }) => plan)];
  const blocks = uses.flatMap((use) => use.blocks).filter(({ movementId }) => movementId === before.id);
  const gone = before.ladder.filter(({ id }) => !findLevel(after, id)).find(({ id }) => blocks.some(({ levelId }) => levelId === id));
  if (gone) throw conflict(`The level “${gone.name}” is used in sequences or records: keep it in the ladder.`);
  for (const use of uses) {
    const [fault] = checkSequence(use, lookups.after);
    if (!fault || checkSequence(use, lookups.before).length) continue;
    throw conflict(`“${use.title}” uses it as it would no longer be: ${sentence(fault)}`);
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
