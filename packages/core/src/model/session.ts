import type { WorkingSide } from '../vocabulary/hands.js';

/** A carried-out set as it is stored: one hand (or both) in one direction of one set of one block. */
export interface DoneSet {
  readonly id: string;
  readonly blockId: string;
  readonly set: number;
  readonly side: WorkingSide;
  readonly direction: string | null;
  readonly unit: 'repetitions' | 'seconds' | 'breaths';
  readonly plannedAmount: number;
  readonly doneAmount: number;
  /** Id of the set that this one puts right: rows are only ever added. */
  readonly corrects?: string | null;
}

/** Sets as they stand after corrections: what another set corrects is left out; repeats of a piece of work are summed by the reader. */
export function standingSets<T extends DoneSet>(sets: readonly T[]): T[] {
  const corrected = new Set(sets.map((set) => set.corrects).filter((id) => typeof id === 'string'));
  return sets.filter((set) => !corrected.has(set.id));
}
