import { failsAt, RESTED, step, type Units } from './compartments.js';
import { type EffortSpan, effortTimeline } from './effort-timeline.js';
import type { CarriedOut } from './past.js';
import { type Rates, ratesOf } from './rates.js';
import type { ActionEffort } from '../mechanics/asked.js';
import type { Evidence, EvidenceKind } from '../mechanics/belief.js';
import type { Person } from '../mechanics/capacity.js';
import { findLevel, type MovementLookup } from '../model/movement.js';
import { compileTimeline } from '../timeline/compile-timeline.js';
import { doneTimeline } from '../timeline/done-timeline.js';
import { type PlannedDoneRow, plannedAgainstDone } from '../timeline/planned-done.js';
import { itemAt } from '../vocabulary/lists.js';
import { HANDS } from '../vocabulary/hands.js';
import { GROUP_OF } from '../vocabulary/muscles.js';
import { working } from '../vocabulary/constant.js';

/** A session that was carried out, with what was said of its blocks. */
export interface ToldSession extends CarriedOut {
  /** How hard each block was, 0–10; null where nobody said. */
  readonly reports: readonly { readonly blockId: string; readonly exertion: number | null }[];
}

/** Broken off with nothing said: near failure, or it would have gone on. As a rating. */
const BROKEN_OFF = working('A set broken off', 9, 'of 10', 'near failure, or it would have gone on', [8, 10]).value;
/** A rating says nothing of a muscle that worked less than this share of its maximum: something else was rated. */
const WORTH_RATING_PERCENT = working('Effort that a rating is of', 30, '% of maximum', 'below it something else tires first', [20, 40]).value; // prettier-ignore
/** Of an effort that is mostly the person's own pace, or a share that was asked, the rest says little. */
const MOSTLY_LOAD = working('Effort against a load', 0.7, 'of its spread', 'what is mostly pace, or a share that was asked, tells of no maximum', [0.5, 0.9]).value; // prettier-ignore
/** Less than this share of what was planned was broken off. */
const ENDED_EARLY = working('Ended early', 0.9, 'of what was planned', 'a repetition or two less is a slip of counting', [0.8, 0.95]).value; // prettier-ignore
/** “Nothing at all” is no measure of a muscle that worked. */
const LEAST_RATING = 1;
/** From this rating on a set that ended early had reached its end. */
const AT_THE_END = 9;

/**
 * What the sets of sessions tell of maxima: the capacity with which the hardest muscle of each rated block would have been felt as hard as was said.
 * A press tells nothing, since it is a share of the own maximum. @param person of whom maxima that were tested may be known
 */
export function evidenceOf(person: Person, sessions: readonly ToldSession[], lookup: MovementLookup): Evidence[] {
  return sessions.flatMap((session) => evidenceOfSession(person, session, lookup));
}

function evidenceOfSession(person: Person, session: ToldSession, lookup: MovementLookup): Evidence[] {
  const { plan, sets, reports, endedAt } = session;
  const howOf = (blockId: string, done: DoneShare) =>
    howItEnded(reports.findLast((report) => report.blockId === blockId)?.exertion ?? null, done);
  return evidenceOfDone(person, { plan, sets, onDay: endedAt.slice(0, 10) }, lookup, howOf);
}

/** What was done of a plan on a day. */
export interface Done extends Pick<CarriedOut, 'plan' | 'sets'> {
  readonly onDay: string;
}

/** How much of a block was done: of what had a fixed amount, and whether an open set ended before its ceiling since the form failed. */
export interface DoneShare {
  readonly share: number;
  readonly formFailed: boolean;
}

/** How hard the end of a block was on a scale to ten, as which kind of evidence it counts, and what it is called. */
export interface SetEnding {
  readonly kind: EvidenceKind;
  readonly rating: number;
  readonly words: string;
}

/** What the blocks that were done tell of maxima, by how each ended. @param howOf how a block ended of which a share was done; null where that tells nothing */
export function evidenceOfDone(
  person: Person,
  { plan, sets, onDay }: Done,
  lookup: MovementLookup,
  howOf: (blockId: string, done: DoneShare) => SetEnding | null,
): Evidence[] {
  const planned = compileTimeline(plan, lookup);
  const { spans, demands } = effortTimeline(person, plan, doneTimeline(planned, sets), lookup);
  const rows = plannedAgainstDone(planned, sets);
  return plan.blocks.flatMap((block, index): Evidence[] => {
    const demand = demands[index];
    const movement = lookup(block.movementId);
    if (!demand || !movement || !findLevel(movement, block.levelId)) return [];
    return HANDS.flatMap((hand): Evidence[] => {
      const hardest = demand[hand].efforts[0];
      if (!hardest || !tells(hardest)) return [];
      const mine = rows.filter(({ blockId, side }) => blockId === block.id && (side === 'both' || side === hand));
      const how = howOf(block.id, doneShare(mine));
      if (!how) return [];
      const group = GROUP_OF[hardest.action];
      if (!movement.trains.includes(group)) return [];
      const scale = scaleAt(
        ratesOf(group),
        (spans.get(`${hand} ${group}`) ?? []).filter(({ blockId }) => blockId === block.id),
        how.rating,
      );
      if (scale === null) return [];
      // The way of doing it changes what of the plain maximum there is: the belief is about the plain one.
      const value = (hardest.capacity.value / hardest.factor) * scale;
      return [{ kind: how.kind, action: hardest.action, hand, value, onDay, what: `${movement.name}, ${how.words}` }];
    });
  });
}

function doneShare(rows: readonly PlannedDoneRow[]): DoneShare {
  // An open set is done whatever was done of it.
  const wanted = rows.map((row) => (row.open ? (row.doneAmount ?? 0) : row.plannedAmount));
  const done = rows.reduce((sum, row) => sum + (row.doneAmount ?? 0), 0);
  const formFailed = rows.some(({ open, doneAmount, plannedAmount }) => open === 'form' && doneAmount !== null && doneAmount > 0 && doneAmount < plannedAmount); // prettier-ignore
  return { share: done / wanted.reduce((sum, amount) => sum + amount, 0), formFailed };
}

/** Whether a set tells of the maximum that its hardest action is held against: it is hard enough to be what was rated, and more than a share of itself. */
const tells = ({ effortPercent, logSd, capacity }: ActionEffort) =>
  effortPercent >= WORTH_RATING_PERCENT && logSd > MOSTLY_LOAD * capacity.logSd;

/** What an ending tells: how hard it was, and how surely. Null where it tells nothing. */
function howItEnded(told: number | null, { share, formFailed }: DoneShare): SetEnding | null {
  if (!(share > 0)) return null;
  const early = share < ENDED_EARLY;
  if (formFailed && (told === null || told >= AT_THE_END)) {
    return { kind: 'to failure', rating: 10, words: 'until the form failed' };
  }
  if (early && told !== null && told >= AT_THE_END) return { kind: 'to failure', rating: 10, words: 'to failure' };
  if (told !== null) return { kind: 'rated', rating: Math.max(LEAST_RATING, told), words: `rated ${told} of 10` };
  return early ? { kind: 'broken off', rating: BROKEN_OFF, words: 'broken off' } : null;
}

/** No further off than this from what was believed: beyond, a rating says “much stronger” and no more. */
const FURTHEST = working('Furthest that a set speaks for', 6, 'times what was believed', 'beyond, a rating says “much stronger” and no more', [4, 10]).value; // prettier-ignore

/** Of rounding. */
const A_HAIR = 1e-9;

/**
 * The capacity, times what is believed, with which a block's spans are felt as hard as was said at their hardest; null without any. An exertion
 * begins at its share of the maximum and has risen to ten by the time that it fails (Borg 1982, Med Sci Sports Exerc 14(5):377–81, for the scale; the straight
 * line between is a working choice).
 */
function scaleAt(rates: Rates, spans: readonly EffortSpan[], rating: number): number | null {
  if (spans.length === 0) return null;
  const felt = (scale: number): number => {
    let units: Units = RESTED;
    let nowMs = itemAt(spans, 0).startMs;
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
  };
  // The stronger, the easier it is. At the end it is a full ten, for whoever is weaker than that, too: the strongest of them is looked for.
  const isTooHard = (scale: number) => felt(scale) >= rating - A_HAIR;
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
