import { type Programme, weekIndexOf } from '../model/programme.js';
import { daysBetween, weekdayOf } from '../vocabulary/days.js';

/** Hard work ends so many days before an event, and what loads at all a day before it; customary among coaches. */
export const HARD_CLEAR_DAYS = 3;
/** What loads at all ends so many days before an event. */
export const LOADING_CLEAR_DAYS = 1;

/** What a taper holds of the fullest week’s load, and between what it should lie (Bosquet et al. 2007: 41–60 % less is best). */
export const TAPER_SHARE = 0.5;
/** Less loses more than it rests, more is none. */
export const TAPER_BAND = [0.4, 0.6] as const;

/** An event on one of the first so many days of a week is led to by the week before. */
const EARLY_DAYS = 3;

/** Which of the weeks leads to an event: its own, or the one before where it lies early in its own. */
export const weekToward = ({ fromDay }: Pick<Programme, 'fromDay'>, eventDay: string): number =>
  Math.max(0, weekIndexOf({ fromDay }, eventDay) - (weekdayOf(eventDay) <= EARLY_DAYS ? 1 : 0));

/** Whether a new session that loads would lie too near an event, hard or not. */
export const isNearEvent = (event: Programme['event'], day: string): boolean =>
  event !== undefined && daysBetween(day, event.day) <= HARD_CLEAR_DAYS;
