import { itemAt } from '../vocabulary/lists.js';
import type { Units } from './compartments.js';
import type { EffortSpan, EffortTimeline } from './effort-timeline.js';
import { blocksFailing } from './fatigue-course.js';
import { ratesOf } from './rates.js';
import { normalShare } from '../mechanics/belief.js';
import { partsOf, type SideGroup } from '../vocabulary/muscles.js';

/** The chance, 0–1, that a group carries a block to its end, by block; blocks that it does not work in are not listed. */
export type Chances = ReadonlyMap<string, number>;

/**
 * Standard deviations at which a group is tried, weakest first: the chance of a block lies between the last that fails it and the first that holds it, some
 * five in a hundred apart in the middle.
 */
const TRIED = [-2.6, -2, -1.5, -1.15, -0.85, -0.6, -0.38, -0.19, 0, 0.19, 0.38, 0.6, 0.85, 1.15, 1.5, 2, 2.6] as const;
const BEYOND = TRIED.length;

/**
 * How likely a group holds each block: the share of what is believed of its capacity with which the block is carried to its end, after all that went
 * before. A stronger group holds whatever a weaker one does, so a few trials bracket every block.
 */
export function chancesOfGroup(key: SideGroup, spans: readonly EffortSpan[], from: Units | undefined): Chances {
  const rates = ratesOf(partsOf(key).group);
  const blocks = new Set(spans.map(({ blockId }) => blockId));
  const tried = new Map<number, ReadonlySet<string>>();
  const failingAt = (index: number): ReadonlySet<string> => {
    let failing = tried.get(index);
    if (!failing) tried.set(index, (failing = blocksFailing(rates, spans, from, itemAt(TRIED, index))));
    return failing;
  };
  // Most groups are carried even by the weakest, which one trial tells.
  const firstHeld = (blockId: string): number => {
    if (!failingAt(0).has(blockId)) return 0;
    let [low, high]: [number, number] = [0, BEYOND];
    while (high - low > 1) {
      const middle = Math.floor((low + high) / 2);
      if (failingAt(middle).has(blockId)) low = middle;
      else high = middle;
    }
    return high;
  };
  return new Map([...blocks].map((blockId) => [blockId, chanceFrom(firstHeld(blockId))]));
}

/** The chance of being at least as strong as the border between two trials. */
function chanceFrom(firstHeld: number): number {
  if (firstHeld === 0) return 1;
  if (firstHeld === BEYOND) return 0;
  const border = (itemAt(TRIED, firstHeld - 1) + itemAt(TRIED, firstHeld)) / 2;
  return 1 - normalShare(border);
}

/** The least chance of any group of either hand, by block: what is said of a block. What this body cannot take at all has none. */
export function blockChances(chances: ReadonlyMap<SideGroup, Chances>, impossible: EffortTimeline['impossible'] = []): Chances {
  const least = new Map<string, number>(impossible.map(({ blockId }) => [blockId, 0]));
  for (const ofGroup of chances.values()) {
    for (const [blockId, chance] of ofGroup) least.set(blockId, Math.min(least.get(blockId) ?? 1, chance));
  }
  return least;
}
