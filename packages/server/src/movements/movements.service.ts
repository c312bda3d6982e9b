import type { MovementInput, StoredMovement } from '@clay-pot/contracts';
import { checkMovement, checkSequence, findLevel, type Movement, type MovementLookup, same, sentence } from '@clay-pot/core';
import { checkPlainName } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { VersionedRows } from '../database/versioned-rows.js';
import { Clock } from '../http/clock.js';
import { etagOf } from '../http/etag.js';
import { conflict, invalid } from '../http/problem.js';
import { raiseEvidenceOfAll } from '../kept/evidence-revision.js';
import { LibraryService } from '../library/library.service.js';
import { recomputedSums } from '../sequences/sequence-sums.js';
import { sequencesWith } from '../sequences/sequence-movements.js';
import { plansWith } from '../sessions/plans.js';
import { MovementRow } from './movement.entity.js';

const MOVEMENTS_KEPT = new VersionedRows(MovementRow, 'movement');

/** Keeps movements of the studio’s own; what is used by a sequence stays possible. */
@Injectable()
export class MovementsService {
  constructor(
    private readonly clock: Clock,
    private readonly library: LibraryService,
  ) {}

  /** The studio's own, removed ones too: whoever shows a record needs them. */
  async list(scope: StudioScope): Promise<StoredMovement[]> {
    return (await scope.of(MovementRow).find({ order: { name: 'ASC' } })).map(movementView);
  }

  async get(scope: StudioScope, id: string): Promise<StoredMovement> {
    return movementView(await scope.of(MovementRow).get(id, 'movement'));
  }

  /** Creates or replaces, by the same rules as the shipped library is tested by. */
  async put(scope: StudioScope, id: string, input: MovementInput, ifMatch: string | undefined): Promise<StoredMovement> {
    const document: Movement = { ...input, id };
    const faults = [...checkMovement(document), ...checkPlainName(document, await this.library.of(scope))];
    if (faults.length) throw invalid(faults);
    const lookupIn = async (held: StudioScope): Promise<MovementLookup> => {
      const { movement } = await this.library.of(held);
      return (movementId) => (movementId === id ? document : movement(movementId));
    };
    return MOVEMENTS_KEPT.put(scope, id, {
      ifMatch,
      content: { name: document.name, document, updatedAt: this.clock.now() },
      fresh: { removedAt: null },
      get: (of) => this.get(of, id),
      isSame: (stored) => same(stored.movement, document),
      mayReplace: async (held) => {
        const before = (await held.of(MovementRow).hold(id, 'movement')).document;
        const { movement } = await this.library.of(held);
        await keepUses(held, before, document, { before: movement, after: await lookupIn(held) });
      },
      written: async (held) => {
        await recomputedSums(held, id, await lookupIn(held));
        await raiseEvidenceOfAll(held);
      },
    });
  }

  /** Takes it off the shelf, or puts it back. */
  async setRemoved(scope: StudioScope, id: string, removed: boolean): Promise<StoredMovement> {
    await MOVEMENTS_KEPT.setRemovedAt(scope, id, removed ? this.clock.now() : null, raiseEvidenceOfAll);
    return this.get(scope, id);
  }
}

/**
 * What sequences and records do with a movement must stay possible: they are compiled with the movement as it is now. @throws 409 naming what
 * rules out the change
 */
async function keepUses(
  scope: StudioScope,
  before: Movement,
  after: Movement,
  lookups: { before: MovementLookup; after: MovementLookup },
): Promise<void> {
  const sequences = await sequencesWith(scope, before.id);
  const uses = [...sequences.map(({ document }) => document), ...(await plansWith(scope, before.id))];
  const blocks = uses.flatMap((use) => use.blocks).filter(({ movementId }) => movementId === before.id);
  const gone = before.ladder.filter(({ id }) => !findLevel(after, id)).find(({ id }) => blocks.some(({ levelId }) => levelId === id));
  if (gone) throw conflict(`The level “${gone.name}” is used in sequences or records, so it can’t be removed.`);
  for (const use of uses) {
    const [fault] = checkSequence(use, lookups.after);
    if (!fault || checkSequence(use, lookups.before).length) continue;
    throw conflict(`“${use.title}” uses it as it would no longer be: ${sentence(fault)}`);
  }
}

function movementView({ id, rowVersion, updatedAt, removedAt, document }: MovementRow): StoredMovement {
  return {
    id,
    etag: etagOf(rowVersion),
    updatedAt: updatedAt.toISOString(),
    removed: removedAt !== null,
    movement: document,
  };
}
