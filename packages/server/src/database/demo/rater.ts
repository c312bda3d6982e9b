import { compileTimeline, exertionFelt, type Person, ratingErrors, type Sequence, type WorkFelt, workFelt } from '@clay-pot/core';
import { shippedMovement } from '@clay-pot/core/library';
import type { SeededRandom } from './random.js';

const MOST = 10;

/** How hard somebody rates a block; null where nothing of it is felt by the model. */
export type Rater = (plan: Sequence, blockId: string) => number | null;

/**
 * Somebody whose true maxima lie anywhere in what is believed of them, and who rates by what they feel, in their own way. So what is learned from the demo’s ratings can
 * be held against what they came from.
 */
export function raterOf(person: Person, random: SeededRandom): Rater {
  const truths = new Map<string, number>();
  const errors = ratingErrors();
  const lean = errors.lean * random.normal();
  const cache = new Map<Sequence, WorkFelt[]>();
  const truthOf = ({ hardest: { action, capacity } }: WorkFelt): number => {
    const truth = truths.get(action) ?? capacity.logSd * random.normal();
    truths.set(action, truth);
    return truth;
  };
  return (plan, blockId) => {
    const all = cache.get(plan) ?? workFelt(person, plan, compileTimeline(plan, shippedMovement), shippedMovement);
    cache.set(plan, all);
    const mine = all.filter((work) => work.blockId === blockId && work.spans.length > 0);
    if (mine.length === 0) return null;
    const noise = errors.scatter * random.normal();
    // A press is a share of the own maximum, whatever that is.
    const felt = mine.map((work) => exertionFelt(work, Math.exp((work.tellsOfMaximum ? truthOf(work) : 0) + lean + noise)));
    return Math.round(Math.min(MOST, Math.max(1, ...felt)));
  };
}
