import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface ShelfHabits {
  /** Movements kept at the top, by their ids. */
  readonly favourites: readonly string[];
  /** Added lately, the last first. */
  readonly recent: readonly string[];
}

/** How many are remembered as lately used. */
const MOST_RECENT = 8;

/** What somebody reaches for, kept in the browser. */
export const useShelfHabits = create<ShelfHabits>()(
  persist((): ShelfHabits => ({ favourites: [], recent: [] }), { name: 'clay-pot-shelf' }),
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
