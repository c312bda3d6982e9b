import type { OwnName } from '@clay-pot/contracts';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface OwnNames {
  /** What the studio calls movements. */
  readonly stored: readonly OwnName[];
}

/** Kept in the browser as well: a session speaks of movements as the studio does without a network. */
export const useOwnNames = create<OwnNames>()(persist((): OwnNames => ({ stored: [] }), { name: 'clay-pot-names' }));

/** Takes in what the server knows. */
export const setOwnNames = (stored: readonly OwnName[]) => useOwnNames.setState({ stored });
/** Forgets them on signing out. */
export const forgetOwnNames = () => useOwnNames.setState({ stored: [] });
