import { counted } from '../../vocabulary/text.js';
import { calendarDay, say, type Sentence } from '../../vocabulary/sentence.js';
import type { RecordedCaution } from '../../model/athlete.js';
import { addDays, daysBetween } from '../../vocabulary/days.js';
import { working } from '../../vocabulary/constant.js';
import { cautionsOn, forbidsLoading } from '../safety/cautions.js';

/** A check-in is due so many days after the last. */
export const CHECK_IN_EVERY = working(
  'Check-in again after',
  84,
  'days',
  'with each new block of training; at most twelve weeks',
  [56, 120],
).value;
/** And so many while something is sore. */
export const CHECK_IN_EVERY_SORE = working(
  'Check-in again while something is sore',
  14,
  'days',
  'two weeks show what rest alone can settle',
  [7, 28],
).value;
const CLEARANCE_ENDS_WITHIN_DAYS = 7;

/** Whether somebody is to be asked (again), and why; null while the answers are fresh. */
export interface IntakeDue {
  /** Why, as part of a sentence. */
  readonly why: Sentence;
  /** The day from which on it is due. */
  readonly since: string;
}

/**
 * When the questions before training are to be asked again: never asked; something sore two weeks ago; twelve weeks; a clearance that ends.
 * @param lastOn ISO day of the last answers, null without any
 * @param cautions as they are recorded
 */
export function intakeDue(lastOn: string | null, cautions: readonly RecordedCaution[], today: string): IntakeDue | null {
  const ending = cautions.find(
    ({ clearedOn, clearedUntil }) => clearedOn && clearedUntil && daysBetween(today, clearedUntil) <= CLEARANCE_ENDS_WITHIN_DAYS,
  );
  if (ending?.clearedUntil) {
    const word = ending.clearedUntil < today ? 'ended' : 'ends';
    return {
      why: say`clearance by ${ending.clearedBy ?? ''} ${word} on ${calendarDay(ending.clearedUntil)}`,
      since: addDays(ending.clearedUntil, -CLEARANCE_ENDS_WITHIN_DAYS),
    };
  }
  if (lastOn === null) return { why: 'no check-in yet', since: today };
  const isSore = cautionsOn({ cautions }, today).some((entry) => entry.caution === 'sore-place' || forbidsLoading(entry));
  const days = isSore ? CHECK_IN_EVERY_SORE : CHECK_IN_EVERY;
  const since = addDays(lastOn, days);
  if (since > today) return null;
  const weeks = Math.floor(daysBetween(lastOn, today) / 7);
  return {
    why: isSore
      ? say`something hurt at the last check-in, ${counted(weeks, 'week')} ago`
      : say`last check-in ${counted(weeks, 'week')} ago`,
    since,
  };
}
