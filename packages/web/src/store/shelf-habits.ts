import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';

interface ShelfHabits {
  /** Movements kept at the top, by their ids. */
  readonly favourites: readonly string[];
  /** Added lately, the last first. */
  readonly recent: readonly string[];
}

/** How many are remembered as lately used. */
const MOST_RECENT = 8;

/** Where it is kept. It stays on the device when its account signs out: no other place knows of it. */
export const SHELF_KEY = 'shelf';

/** What somebody reaches for, kept in the browser. */
export const useShelfHabits = perAccount(
  create<ShelfHabits>()(
    persist((): ShelfHabits => ({ favourites: [], recent: [] }), { name: SHELF_KEY, storage: createJSONStorage(() => accountStorage) }),
  ),
);

/** Keeps a movement among the favourites, or not any more. */
export function toggleFavourite(id: string): void {
  useShelfHabits.setState(({ favourites }) => ({
    favourites: favourites.includes(id) ? favourites.filter((kept) => kept !== id) : [...favourites, id],
  }));
}

/** Remembers what was added. */
export function used(id: string): void {
  useShelfHabits.setState(({ recent }) => ({
    recent: [id, ...recent.filter((before) => before !== id)].slice(0, MOST_RECENT),
  }));
}
