import type { OwnName } from '@clay-pot/contracts';
import { checkOwnName } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { v7 as uuid } from 'uuid';
import type { StudioScope } from '../database/studio-scope.js';
import { invalid, notFound } from '../http/problem.js';
import { LibraryService } from '../library/library.service.js';
import { MovementNameRow } from './movement-name.entity.js';

/** Keeps what a studio calls movements; a name belongs to one movement. */
@Injectable()
export class MovementNamesService {
  constructor(private readonly library: LibraryService) {}

  async list(scope: StudioScope): Promise<OwnName[]> {
    const rows = await scope.of(MovementNameRow).find({ order: { movementId: 'ASC' } });
    return rows.map(({ movementId, name }) => ({ movementId, name }));
  }

  /** Gives a movement a name, in place of the one it had. @throws 404 for a movement that nobody knows, 422 for a name that another has */
  async put(scope: StudioScope, movementId: string, name: string): Promise<OwnName> {
    const own: OwnName = { movementId, name: name.trim() };
    await scope.transaction(async (held) => {
      const known = await this.library.of(held);
      if (!known.movement(movementId)) throw notFound('movement');
      const faults = checkOwnName(own, known);
      if (faults.length) throw invalid(faults);
      const changed = await held.of(MovementNameRow).update({ movementId }, { name: own.name });
      if (changed === 0) await held.of(MovementNameRow).insert({ id: uuid(), ...own }, 'name');
    });
    return own;
  }

  /** Takes the name away; the movement keeps its plain one. */
  async remove(scope: StudioScope, movementId: string): Promise<void> {
    await scope.of(MovementNameRow).remove({ movementId });
  }
}
