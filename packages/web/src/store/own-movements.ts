import type { StoredMovement } from '@clay-pot/contracts';
import type { Movement } from '@clay-pot/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface OwnMovements {
  /** The studio's own movements, removed ones too: sequences and records may name them. */
  readonly stored: readonly StoredMovement[];
  /** Whether the server has told of them on this device. */
  readonly told: boolean;
}

/** Kept in the browser as well, so that a session with an own movement goes on without a network. */
export const useOwnMovements = create<OwnMovements>()(
  persist((): OwnMovements => ({ stored: [], told: false }), {
    name: 'clay-pot-movements',
    // Version 1 has the actions' present names. What was kept of before is fetched anew.
    version: 1,
    migrate: () => ({ stored: [], told: false }),
  }),
);

/** Takes in what the server knows. */
export const setOwnMovements = (stored: readonly StoredMovement[]) => useOwnMovements.setState({ stored, told: true });
/** Forgets them on signing out. */
export const forgetOwnMovements = () => useOwnMovements.setState({ stored: [], told: false });
/** Whether the server’s answer of some time is there. */
export const hasOwnMovements = () => useOwnMovements.getState().told;

/** Finds one of the studio's own. */
export const ownMovement = (id: string): Movement | undefined => useOwnMovements.getState().stored.find((own) => own.id === id)?.movement;
