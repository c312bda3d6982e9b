import type { StoredMethod } from '@clay-pot/contracts';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface OwnMethods {
  /** The studio's own methods, removed ones too: sequences may go by them. */
  readonly stored: readonly StoredMethod[];
}

/** Kept in the browser as well, so that a session goes by its method without a network. */
export const useOwnMethods = create<OwnMethods>()(persist((): OwnMethods => ({ stored: [] }), { name: 'clay-pot-methods' }));

/** Takes in what the server knows. */
export const setOwnMethods = (stored: readonly StoredMethod[]) => useOwnMethods.setState({ stored });
/** Forgets them on signing out. */
export const forgetOwnMethods = () => useOwnMethods.setState({ stored: [] });
