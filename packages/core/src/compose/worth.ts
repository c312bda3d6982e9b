import type { Candidate } from './candidate.js';
import { targetsS } from './goal.js';
import { working } from '../vocabulary/constant.js';
import type { Composing } from './question.js';

/** The first half of what is wanted is worth more than the second, and more than all that is wanted a little. */
const FIRST_HALF = working(
  'Worth of the first half of a want',
  0.65,
  'share',
  'a little of everything before all of one thing',
  [0.5, 0.8],
).value;
const BEYOND = working('Worth of half as much again', 0.06, 'share', 'more than is wanted does no harm, and little good', [0, 0.15]).value;
/** Slices of a want by its share, each worth less than the one before. */
export const SLICES = [
  { share: 0.5, worth: FIRST_HALF },
  { share: 0.5, worth: 1 - FIRST_HALF },
  { share: 0.5, worth: BEYOND },
] as const;

/** One movement fills at most so much of a want: others bring the rest. */
const OF_ONE = working('Of a want by one movement', 0.5, 'share', 'two movements at least for everything that is wanted', [0.34, 1]).value;

/** Worth of staying with what was done last, or of leaving it, as the method has it. */
const ROUTINE = 0.4;
/** Reward for keeping a movement of a sequence that is refitted: large enough that little else replaces it. */
const KEPT = 4;
/** Of two that are alike the one that is taught first. */
const TEACHING_ORDER = 1e-6;

/**
 * What going to a place costs besides its time, among choices that are nearly worth the same: the programme itself does not know it, since its relaxation
 * goes to half a place.
 */
export const VISIT_COST = working('Cost of a change of place', 0.5, 'point of 100', 'attention that the hands do not get', [0.3, 2]).value;

/** What a goal that has all it wants is worth. */
export const ALL_WANTED = 100;

/** What counting a want rests on. */
export interface WantWorth {
  readonly targetS: number;
  /** Points for having all of it. */
  readonly points: number;
}

/** What each want of the goal is worth, and how much of it is all. */
export function wantWorths({ goal, minutes }: Pick<Composing, 'goal' | 'minutes'>): WantWorth[] {
  const weights = goal.wants.reduce((sum, { weight }) => sum + weight, 0);
  const targets = targetsS(goal, minutes);
  return goal.wants.map(({ weight }, index) => ({
    targetS: targets[index] ?? 0,
    points: (ALL_WANTED * weight) / weights,
  }));
}

/** Seconds of a candidate that count toward a want: no movement fills it alone. */
export const counted = ({ gives }: Candidate, index: number, { targetS }: WantWorth): number =>
  Math.min(gives[index] ?? 0, OF_ONE * targetS);

/** What a candidate is worth besides what it gives to the wants. */
export function ownWorth({ movement }: Candidate, { past, method, keep = [], shelf }: Composing): number {
  const wasLast = past.at(-1)?.movementIds.includes(movement.id) ?? false;
  const routine = wasLast ? (method.variety === 'same' ? ROUTINE : -ROUTINE) : 0;
  return routine + (keep.some(({ movementId }) => movementId === movement.id) ? KEPT : 0) - TEACHING_ORDER * shelf.indexOf(movement);
}

/** What so many seconds of a want are worth, in points. */
export function worthOfSeconds(seconds: number, { targetS, points }: WantWorth): number {
  let left = seconds;
  let worth = 0;
  for (const slice of SLICES) {
    const taken = Math.min(left, slice.share * targetS);
    worth += (points * slice.worth * taken) / (slice.share * targetS);
    left -= taken;
  }
  return worth;
}

/** How much of what the goal wants there is, percent: what is more than wanted does not make up for what is missing. @param gotS seconds of each want */
export function goalPercent(gotS: readonly number[], composing: Pick<Composing, 'goal' | 'minutes'>): number {
  return wantWorths(composing).reduce((sum, { targetS, points }, index) => sum + points * Math.min(1, (gotS[index] ?? 0) / targetS), 0);
}

/** What a choice is worth altogether: the same sum that the programme maximises. */
export function worthOf(chosen: readonly Candidate[], composing: Composing): number {
  const wants = wantWorths(composing).map((want, index) =>
    worthOfSeconds(
      chosen.reduce((sum, each) => sum + counted(each, index, want), 0),
      want,
    ),
  );
  const own = chosen.map((each) => ownWorth(each, composing));
  return [...wants, ...own].reduce((sum, worth) => sum + worth, 0);
}
