import { keepsAtIt, type WithinStrength } from './breaking-off.js';
import { blockChances } from './chances.js';
import { evidenceOf, type ReportedSession } from './evidence.js';
import { exertionFelt, scaleFelt, type WorkFelt, workFelt } from './felt.js';
import { viewOf } from './session-view.js';
import { type Evidence, FOUR_FIFTHS, normalShare, ratingSpread } from '../mechanics/belief.js';
import type { Person } from '../mechanics/capacity.js';
import type { Method } from '../model/method.js';
import type { MovementLookup } from '../model/movement.js';
import { doneTimeline } from '../timeline/done-timeline.js';
import { timelineOf } from '../timeline/timeline-of.js';
import { plannedAgainstDone } from '../timeline/planned-done.js';
import { addDays } from '../vocabulary/days.js';
import { groupedBy } from '../vocabulary/lists.js';

/** What was to be expected of one block before it was done, by all that was known the day before, beside what came. */
export interface Prediction {
  readonly sessionId: string;
  /** ISO day. */
  readonly onDay: string;
  readonly blockId: string;
  readonly movementId: string;
  /** The exertion that it would be rated with: eight of ten lie between; null where a rating says nothing of the maximum. */
  readonly exertion: { readonly low: number; readonly middle: number; readonly high: number } | null;
  /** As it was rated; null where nobody said. */
  readonly reported: number | null;
  /** The share of all expected ratings that would round to the same number, 0–1 from the lowest: a rating is a whole number. Null without one. */
  readonly place: readonly [from: number, to: number] | null;
  /** The chance of carrying it to its end, 0–1: by strength, and by how often they kept at it before. */
  readonly chance: number;
  /** Whether it was. */
  readonly isWhole: boolean;
}

/** An athlete with their tests and rated sessions. */
export interface PredictionQuestion {
  /** With tested maxima alone: what sets tell is found here, session after session. */
  readonly person: Person;
  /** Oldest first. */
  readonly sessions: readonly ReportedSession[];
  readonly lookup: MovementLookup;
  readonly methodOf: (plan: ReportedSession['plan']) => Method;
}

/** Ratings are whole numbers: half a step to either side is the same one. */
const HALF_STEP = 0.5;
const [LEAST, MOST] = [1, 10];

/** What was to be expected of each session by what was known before it, beside what came. Nothing that came later is known. */
export function predictionsOf({ person, sessions, lookup, methodOf }: PredictionQuestion): Prediction[] {
  const allEvidence: Evidence[] = [...person.evidence];
  const before: WithinStrength[] = [];
  return sessions.flatMap((session) => {
    const { onDay } = session;
    const then: Person = { ...person, evidence: [...allEvidence], today: addDays(onDay, -1) };
    allEvidence.push(...evidenceOf(person, [session], lookup));
    const byStrength = ofSession(then, session, onDay, lookup, methodOf(session.plan));
    const kept = keepsAtIt(before);
    before.push(...byStrength);
    return byStrength.map((block) => ({ ...block, chance: kept * block.chance }));
  });
}

/** The blocks of a session, with the chances that strength alone gives them. */
function ofSession(person: Person, session: ReportedSession, onDay: string, lookup: MovementLookup, method: Method): Prediction[] {
  const { plan, sets, reports } = session;
  const planned = timelineOf(plan, lookup);
  const rows = groupedBy(plannedAgainstDone(planned, sets), ({ blockId }) => blockId);
  const felt = groupedBy(workFelt(person, plan, doneTimeline(planned, sets), lookup), ({ blockId }) => blockId);
  const view = viewOf({ sequence: plan, lookup, shelf: [], person, method, athlete: null, past: [], now: session.startedAt }, planned);
  const chances = blockChances(view.chances(), view.efforts.impossible);
  return plan.blocks.flatMap(({ id: blockId, movementId }): Prediction[] => {
    const mine = rows.get(blockId) ?? [];
    if (!mine.some(({ doneAmount }) => (doneAmount ?? 0) > 0)) return [];
    const isWhole = mine.every(({ open, doneAmount, plannedAmount }) => open !== null || (doneAmount ?? 0) >= plannedAmount);
    const reported = reports.findLast((report) => report.blockId === blockId)?.exertion ?? null;
    const harder = hardestOf(felt.get(blockId) ?? []);
    const spread = harder && spreadOf(harder);
    return [
      {
        ...{ sessionId: session.id, onDay, blockId, movementId, reported, isWhole },
        chance: chances.get(blockId) ?? 1,
        exertion: harder && spread !== null ? expected(harder, spread) : null,
        place: harder && spread !== null && reported !== null ? placeOf(harder, reported, spread) : null,
      },
    ];
  });
}

/** The hand that feels it more; a block is rated once. */
function hardestOf(works: readonly WorkFelt[]): WorkFelt | null {
  const telling = works.filter(({ tellsOfMaximum, spans }) => tellsOfMaximum && spans.length > 0);
  if (telling.length === 0) return null;
  return telling.reduce((one, other) => (exertionFelt(other, 1) > exertionFelt(one, 1) ? other : one));
}

/** What is not known of the maximum, and how far ratings are off, together: a log-sd. */
const spreadOf = ({ hardest }: WorkFelt): number => ratingSpread(hardest.capacity);

function expected(work: WorkFelt, logSd: number): NonNullable<Prediction['exertion']> {
  const at = (z: number) => Math.min(MOST, exertionFelt(work, Math.exp(z * logSd)));
  return { low: at(FOUR_FIFTHS), middle: at(0), high: at(-FOUR_FIFTHS) };
}

/** The shares of expected ratings that lie below this one, and not above it. */
function placeOf(work: WorkFelt, reported: number, logSd: number): readonly [number, number] {
  const below = (rating: number): number => {
    // Nobody rates what was work with nothing, nor anything above ten.
    if (rating < LEAST) return 0;
    if (rating >= MOST) return 1;
    // Rated lower by whoever is stronger than the scale at which it would be just this.
    return 1 - normalShare(Math.log(scaleFelt(work, rating) ?? 1) / logSd);
  };
  return [below(reported - HALF_STEP), below(reported + HALF_STEP)];
}
