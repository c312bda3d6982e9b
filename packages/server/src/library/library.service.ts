import { type Known, knownWith } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { MethodRow } from '../methods/method.entity.js';
import { MovementNameRow } from '../movements/movement-name.entity.js';
import { MovementRow } from '../movements/movement.entity.js';

/** What a studio's sequences may name: movements by all of their names and methods, shipped and its own. */
@Injectable()
export class LibraryService {
  async of(scope: StudioScope): Promise<Known> {
    const [movements, methods, names] = await Promise.all([
      scope.of(MovementRow).find(),
      scope.of(MethodRow).find(),
      scope.of(MovementNameRow).find(),
    ]);
    return knownWith(movements.map(own), methods.map(own), names);
  }
}

/** A studio’s own document as the library reads it. */
export const own = <D>({ document, removedAt }: { document: D; removedAt: Date | null }) => ({
  document,
  removed: removedAt !== null,
});
