import type { Movement, MovementLookup } from '@clay-pot/core';
import { LIBRARY, shippedMovement } from '@clay-pot/core/library';
import { useMemo } from 'react';
import { ownMovement, useOwnMovements } from './own-movements.js';

/** Finds a movement, shipped or the studio's own. */
export const knownMovement: MovementLookup = (id) => shippedMovement(id) ?? ownMovement(id);

/** Everything on the shelf: what is shipped, then the studio's own that were not taken off. */
export function useLibrary(): readonly Movement[] {
  const stored = useOwnMovements((state) => state.stored);
  return useMemo(
    () => [...LIBRARY, ...stored.filter(({ removed }) => !removed).map(({ movement }) => movement)],
    [stored],
  );
}
