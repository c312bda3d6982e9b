import type { PossibleShelf } from '../compose/candidate.js';
import { possibleFor } from '../compose/candidates.js';
import type { ComposeQuestion } from '../compose/question.js';
import type { Sequence } from '../model/sequence.js';
import { must } from '../vocabulary/lists.js';
import { shippedGoal } from '../library/goals.js';
import { type OwnShelf, shelfOf } from './own-shelf.js';

/** Everything that composing takes, as plain data: for a thread of its own. */
export interface ComposeWork extends Omit<ComposeQuestion, 'goal' | 'shelf' | 'lookup' | 'possible'>, OwnShelf {
  readonly goalId: string;
  readonly from?: Sequence | undefined;
  readonly others?: boolean | undefined;
}

/** The question of a piece of work. A sequence to refit brings its movements, pacing and rounds. */
export function questionOf({ goalId, own, removedIds, from, others = true, ...question }: ComposeWork): ComposeQuestion {
  const { lookup, shelf } = shelfOf({ own, removedIds });
  const keep = from?.blocks;
  const isKept = (id: string) => keep?.some(({ movementId }) => movementId === id) ?? false;
  return {
    ...question,
    goal: must(shippedGoal(goalId), `a goal ${goalId}`),
    shelf: shelf.filter(({ id }) => others || isKept(id)),
    lookup,
    ...(keep && { keep }),
    ...(from && { pacing: from.pacing }),
  };
}

/** The question of a piece of work, with what is possible at all for whom it is about. */
export function fullQuestion(work: ComposeWork): ComposeQuestion {
  const question = questionOf(work);
  return { ...question, possible: possibleIn(work, question) };
}

/** So many people, things at hand or sequences are remembered: a coach goes to and fro between two or three. */
const MOST_KEPT = 4;
const kept = new Map<string, PossibleShelf>();

/**
 * What is possible for whom a piece of work is about: found once, and again when anything has changed that it was found by. What time passes alone (a layoff, a
 * clearance that ends) is recomputed every hour.
 * @param question the question of the work
 */
function possibleIn(work: ComposeWork, question: ComposeQuestion): PossibleShelf {
  const key = keyOf(work, question);
  const cached = kept.get(key) ?? possibleFor(question);
  // The latest question comes last.
  kept.delete(key);
  kept.set(key, cached);
  for (const oldest of kept.keys()) {
    if (kept.size <= MOST_KEPT) break;
    kept.delete(oldest);
  }
  return cached;
}

/** The parts of a question that change its answer: the goal without its setting, the minutes, and the fixed blocks. */
const keyOf = (work: ComposeWork, { goal: { places } }: ComposeQuestion): string =>
  JSON.stringify({
    ...work,
    goalId: places,
    minutes: null,
    locked: null,
    rounds: null,
    leftOut: null,
    isLight: null,
    now: hourOf(work.now),
  });

/** The hour that an instant lies in, like 2026-11-01T10. */
const hourOf = (instant: string): string => instant.slice(0, 'YYYY-MM-DDTHH'.length);
