import type { OwnName } from '@clay-pot/contracts';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';

interface OwnNames {
  /** What the studio calls movements. */
  readonly stored: readonly OwnName[];
}

/** Kept in the browser as well: a session speaks of movements as the studio does without a network. */
export const useOwnNames = perAccount(
  create<OwnNames>()(persist((): OwnNames => ({ stored: [] }), { name: 'names', storage: createJSONStorage(() => accountStorage) })),
);

/** Takes in what the server knows. */
export const setOwnNames = (stored: readonly OwnName[]) => useOwnNames.setState({ stored });
