import type { EffortTimeline } from './effort-timeline.js';
import { enduranceDoseOf } from './compartments.js';
import { ratesOf } from './rates.js';
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
export function blockGroups(
  view: Pick<SessionView, 'efforts' | 'chances'>,
): ReadonlyMap<string, readonly BlockGroup[]> {
  const chances = view.chances();
  const blocks = new Map<string, BlockGroup[]>();
  for (const [key, sums] of sumsOf(view.efforts)) {
    const { hand, group } = partsOf(key);
    for (const [blockId, { effort, logSd, dose }] of sums) {
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

/** By group and block: the peak with its spread, and the dose. */
function sumsOf({ spans }: EffortTimeline) {
  return [...spans].map(([key, list]) => {
    const rates = ratesOf(partsOf(key).group);
    const sums = new Map<string, { effort: number; logSd: number; dose: number }>();
    for (const { blockId, startMs, endMs, effort, charged, logSd } of list) {
      const before = sums.get(blockId) ?? { effort: 0, logSd: 0, dose: 0 };
      const dose = before.dose + enduranceDoseOf(rates, effort, (endMs - startMs) / 1000, charged);
      sums.set(blockId, effort > before.effort ? { effort, logSd, dose } : { ...before, dose });
    }
    return [key, sums] as const;
  });
}
