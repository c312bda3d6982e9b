import type { OwnName } from '@clay-pot/contracts';
import { checkOwnName } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { v7 as uuid } from 'uuid';
import { type StudioScope, DuplicateError } from '../database/studio-scope.js';
import { conflict, invalid, notFound } from '../http/problem.js';
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

  /** Gives a movement a name, in place of the one it had. @throws 404 for a movement that nobody knows, 422 for a name that another has, 409 for one that another gets in the same moment */
  async put(scope: StudioScope, movementId: string, name: string): Promise<OwnName> {
    const own: OwnName = { movementId, name: name.trim() };
    const library = await this.library.of(scope);
    if (!library.movement(movementId)) throw notFound('movement');
    const faults = checkOwnName(own, library);
    if (faults.length) throw invalid(faults);
    // What two may not have both the table sees to: no lock is needed, and none to wait for.
    const names = scope.of(MovementNameRow);
    try {
      if ((await names.update({ movementId }, { name: own.name })) === 0) await names.insert({ id: uuid(), ...own }, 'name');
    } catch (error) {
      throw error instanceof DuplicateError ? conflict('Someone is using this name right now. Check the list again.') : error;
    }
    return own;
  }

  /** Takes the name away; the movement keeps its plain one. */
  async remove(scope: StudioScope, movementId: string): Promise<void> {
    await scope.of(MovementNameRow).remove({ movementId });
  }
}
