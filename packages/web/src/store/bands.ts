import { keptPercent } from '@clay-pot/core';
import { create } from 'zustand';
import { createJSONStorage, persist } from 'zustand/middleware';
import { accountStorage, perAccount } from './device-storage.js';

/** How well the effort of a block was kept on a gauge, all its pieces together. */
export interface KeptBand {
  readonly insideS: number;
  readonly triedS: number;
  /** Where it was lost, in words, in order. */
  readonly lost: readonly string[];
}

interface State {
  readonly sessionId: string | null;
  readonly bands: Readonly<Record<string, KeptBand>>;
}

/** What was kept in the session that is led, by block; a reload loses none of it. */
export const useBands = perAccount(
  create<State>()(
    persist((): State => ({ sessionId: null, bands: {} }), { name: 'bands', storage: createJSONStorage(() => accountStorage) }),
  ),
);

/** Adds a piece of work to what was kept in a block. Of another session than before it starts over. */
export function addKept(sessionId: string, blockId: string, more: KeptBand): void {
  useBands.setState((state) => {
    const bands = state.sessionId === sessionId ? state.bands : {};
    const before = bands[blockId] ?? { insideS: 0, triedS: 0, lost: [] };
    const sum = {
      insideS: before.insideS + more.insideS,
      triedS: before.triedS + more.triedS,
      lost: [...before.lost, ...more.lost],
    };
    return { sessionId, bands: { ...bands, [blockId]: sum } };
  });
}

/** What was kept in a block of a session; undefined where no gauge was held. */
export const keptIn =
  (sessionId: string, blockId: string) =>
  (state: State): KeptBand | undefined =>
    state.sessionId === sessionId ? state.bands[blockId] : undefined;

/** How much of the time the effort of a block was kept, whole percent, as it is recorded; null where no gauge was held. */
export function bandPercentOf(sessionId: string, blockId: string): number | null {
  const kept = keptIn(sessionId, blockId)(useBands.getState());
  const percent = kept ? keptPercent(kept) : null;
  return percent === null ? null : Math.round(percent);
}
