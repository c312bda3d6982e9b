import { failsAt, RESTED, step, type Units } from './compartments.js';
import { type EffortSpan, effortTimeline } from './effort-timeline.js';
import { type Rates, ratesOf } from './rates.js';
import type { ActionEffort } from '../mechanics/action-demand.js';
import type { Person } from '../mechanics/capacity.js';
import { findLevel, type Movement, type MovementLookup } from '../model/movement.js';
import type { Sequence } from '../model/sequence.js';
import type { Timeline } from '../timeline/timeline.js';
import { working } from '../vocabulary/constant.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { GROUP_OF } from '../vocabulary/muscles.js';

/** A rating says nothing of a muscle that worked less than this share of its maximum: something else was rated. */
const WORTH_RATING_PERCENT = working(
  'Effort that a rating is of',
  30,
  '% of maximum',
  'below it something else tires first',
  [20, 40],
).value;
/** Of an effort that is mostly the person's own pace, or a share that was asked, the rest says little. */
const MOSTLY_LOAD = working(
  'Effort against a load',
  0.7,
  'of its spread',
  'what is mostly pace, or a share that was asked, tells of no maximum',
  [0.5, 0.9],
).value;
/** No further off than this from what was believed: beyond, a rating says “much stronger” and no more. */
const FURTHEST = working(
  'Furthest that a set speaks for',
  6,
  'times what was believed',
  'beyond, a rating says “much stronger” and no more',
  [4, 10],
).value;

/** Of rounding. */
const A_HAIR = 1e-9;

/** What one hand felt of a block: its hardest muscle, and the work that it did. */
export interface WorkFelt {
  readonly blockId: string;
  readonly hand: Hand;
  readonly movement: Movement;
  readonly hardest: ActionEffort;
  /** It is hard enough to be what was rated, against a load, and of a muscle that the movement is for. */
  readonly tellsOfMaximum: boolean;
  readonly rates: Rates;
  readonly spans: readonly EffortSpan[];
}

/** What each hand has to feel in each block of what was, or will be, done. */
export function workFelt(person: Person, plan: Sequence, timeline: Timeline, lookup: MovementLookup): WorkFelt[] {
  const { spans, demands } = effortTimeline(person, plan, timeline, lookup);
  return plan.blocks.flatMap((block, index): WorkFelt[] => {
    const demand = demands[index];
    const movement = lookup(block.movementId);
    if (!demand || !movement || !findLevel(movement, block.levelId)) return [];
    return HANDS.flatMap((hand): WorkFelt[] => {
      const hardest = demand[hand].efforts[0];
      if (!hardest) return [];
      const group = GROUP_OF[hardest.action];
      const mine = (spans.get(`${hand} ${group}`) ?? []).filter(({ blockId }) => blockId === block.id);
      const tellsOfMaximum = tells(hardest) && movement.trains.includes(group);
      return [{ blockId: block.id, hand, movement, hardest, tellsOfMaximum, rates: ratesOf(group), spans: mine }];
    });
  });
}

/** Whether a set tells of the maximum that its hardest action is held against: it is hard enough to be what was rated, and more than a share of itself. */
const tells = ({ effortPercent, logSd, capacity }: ActionEffort) =>
  effortPercent >= WORTH_RATING_PERCENT && logSd > MOSTLY_LOAD * capacity.logSd;

/**
 * How hard work is felt at its hardest by somebody whose maximum is so many times what is believed, 0–10; without end where it is more than there is. An exertion
 * begins at its share of the maximum and has risen to ten by the time that it fails (Borg 1982, Med Sci Sports Exerc 14(5):377–81, for the scale; the straight
 * line between is a working choice).
 */
export function exertionFelt({ rates, spans }: Pick<WorkFelt, 'rates' | 'spans'>, scale: number): number {
  let units: Units = RESTED;
  let nowMs = spans[0]?.startMs ?? 0;
  let most = 0;
  for (const { startMs, endMs, effort, charged } of spans) {
    const share = effort / scale;
    if (share > 1) return Infinity;
    if (startMs > nowMs) units = step(rates, units, 0, (startMs - nowMs) / 1000);
    units = step(rates, units, charged / scale, (endMs - startMs) / 1000);
    const used = Math.min(1, units.fatigued / failsAt(rates, share));
    most = Math.max(most, 10 * (share + (1 - share) * used));
    nowMs = endMs;
  }
  return most;
}

/** The capacity, times what is believed, with which work is felt as hard as was said at its hardest; null without any. */
export function scaleFelt(work: Pick<WorkFelt, 'rates' | 'spans'>, rating: number): number | null {
  if (work.spans.length === 0) return null;
  // The stronger, the easier it is. At the end it is a full ten, for whoever is weaker than that, too: the strongest of them is looked for.
  const isTooHard = (scale: number) => exertionFelt(work, scale) >= rating - A_HAIR;
  let [low, high] = [1 / FURTHEST, FURTHEST];
  if (!isTooHard(low)) return low;
  if (isTooHard(high)) return high;
  while (high / low > 1.001) {
    const middle = Math.sqrt(low * high);
    if (isTooHard(middle)) low = middle;
    else high = middle;
  }
  return high;
}
