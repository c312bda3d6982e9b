import type { Grade } from '@clay-pot/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';

interface Grades {
  /** The studio's springs and bands. */
  readonly stored: readonly Grade[];
}

/** Kept in the browser as well: a session calls a spring by its name without a network. */
export const useGrades = perAccount(
  create<Grades>()(persist((): Grades => ({ stored: [] }), { name: 'grades', storage: createJSONStorage(() => accountStorage) })),
);

/** Takes in what the server knows. */
export const setGrades = (stored: readonly Grade[]) => useGrades.setState({ stored });
