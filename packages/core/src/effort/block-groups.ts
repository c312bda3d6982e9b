import { sumsByBlock } from './block-sums.js';
import type { SessionView } from './session-view.js';
import { intervalOf } from '../mechanics/belief.js';
import type { Hand } from '../vocabulary/hands.js';
import { type MuscleGroup, partsOf } from '../vocabulary/muscles.js';

/** What a block asks of one muscle group on one side. */
export interface BlockGroup {
  readonly hand: Hand;
  readonly group: MuscleGroup;
  /** The most that it asks at any moment, percent of what is believed of the maximum. */
  readonly effortPercent: number;
  /** Four fifths of people of whom as much is known lie between. */
  readonly effortInterval: readonly [low: number, high: number];
  /** 1 is one hold to failure's worth. */
  readonly enduranceDose: number;
  /** How likely it is carried to the end, after all that went before, 0–1. */
  readonly chanceOfCompletion: number;
}

/** Every group that works in a block, the hardest first. */
export function blockGroups(view: Pick<SessionView, 'efforts' | 'chances'>): ReadonlyMap<string, readonly BlockGroup[]> {
  const chances = view.chances();
  const blocks = new Map<string, BlockGroup[]>();
  for (const [key, spans] of view.efforts.spans) {
    const { hand, group } = partsOf(key);
    for (const [blockId, { effort, logSd, dose }] of sumsByBlock(key, spans)) {
      const effortPercent = 100 * effort;
      const groups = blocks.get(blockId) ?? [];
      groups.push({
        hand,
        group,
        effortPercent,
        effortInterval: intervalOf(effortPercent, logSd),
        enduranceDose: dose,
        chanceOfCompletion: chances.get(key)?.get(blockId) ?? 1,
      });
      blocks.set(blockId, groups);
    }
  }
  for (const groups of blocks.values()) groups.sort((a, b) => b.effortPercent - a.effortPercent);
  return blocks;
}
