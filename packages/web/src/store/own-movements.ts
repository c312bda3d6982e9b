import type { StoredMovement } from '@clay-pot/contracts';
import type { Movement } from '@clay-pot/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';

interface OwnMovements {
  /** The studio's own movements, removed ones too: sequences and records may name them. */
  readonly stored: readonly StoredMovement[];
  /** Whether the server has sent them to this device. */
  readonly isLoaded: boolean;
}

/** Kept in the browser as well, so that a session with an own movement goes on without a network. */
export const useOwnMovements = perAccount(
  create<OwnMovements>()(
    persist((): OwnMovements => ({ stored: [], isLoaded: false }), {
      name: 'movements',
      storage: createJSONStorage(() => accountStorage),
      // Version 1 has the actions' present names. What was kept before is fetched again.
      version: 1,
      migrate: () => ({ stored: [], isLoaded: false }),
    }),
  ),
);

/** Takes in what the server knows. */
export const setOwnMovements = (stored: readonly StoredMovement[]) => useOwnMovements.setState({ stored, isLoaded: true });
/** Whether the server’s answer of some time is there. */
export const hasOwnMovements = () => useOwnMovements.getState().isLoaded;

/** Finds one of the studio's own. */
export const ownMovement = (id: string): Movement | undefined => useOwnMovements.getState().stored.find((own) => own.id === id)?.movement;
