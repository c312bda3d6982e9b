import type { StoredMethod } from '@clay-pot/contracts';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';

interface OwnMethods {
  /** The studio's own methods, removed ones too: sequences may go by them. */
  readonly stored: readonly StoredMethod[];
}

/** Kept in the browser as well, so that a session has its method without a network. */
export const useOwnMethods = perAccount(
  create<OwnMethods>()(persist((): OwnMethods => ({ stored: [] }), { name: 'methods', storage: createJSONStorage(() => accountStorage) })),
);

/** Takes in what the server knows. */
export const setOwnMethods = (stored: readonly StoredMethod[]) => useOwnMethods.setState({ stored });
