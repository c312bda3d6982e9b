import { calendarDay, say, type Sentence } from '../../vocabulary/sentence.js';
import { quantile } from 'simple-statistics';
import type { Movement } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { working } from '../../vocabulary/constant.js';
import { addDays, daysBetween } from '../../vocabulary/days.js';
import { itemAt, lastOf } from '../../vocabulary/lists.js';
import { counted } from '../../vocabulary/text.js';
import { type CourseQuestion, gateCourses, type OtherHabits } from './gate-courses.js';
import { heightOf } from './gate-height.js';
import type { WorkDone } from './work-done.js';

/** Something that would bring a gate forward, and by how many days. */
export interface Sooner {
  readonly words: string;
  readonly days: number;
}

/** Between what days a gate is likely passed, by somebody’s own progress; without days where that cannot be said, with why. */
export interface GateForecast {
  readonly levelId: string;
  /** The middle one of all courses. */
  readonly onDay: string | null;
  /** Eight of ten courses pass it between these. */
  readonly fromDay: string | null;
  readonly toDay: string | null;
  /** What it rests on, or why it is not known. */
  readonly why: Sentence;
  readonly sooner: readonly Sooner[];
}

const FEWEST_SESSIONS = working(
  'Sessions from which a gate is predicted',
  6,
  'sessions',
  'five steps between them; fewer show no trend',
  [5, 10],
).value;
const FEWEST_DAYS = 14;
/** A range that is wider is nothing to plan by; working value. */
const WIDEST_DAYS = 120;
/** What lies further ahead is not said. */
const FURTHEST_DAYS = 365;
const TAIL = 0.1;
/** Less sooner than this is no advice. */
const WORTH_DAYS = 3;
const DAYS_A_WEEK = 7;
const HALF = 0.5;

/**
 * Between what days the gate of a level is likely passed: sessions like somebody’s own, resampled with repeats (Efron 1979, Ann Stat 7:1–26), go on by the rules of
 * progress until it is reached, with the jumps from level to level and the setbacks that those rules make of what hurts. @param history of one movement and hand, oldest first
 */
export function gateForecast(
  history: readonly WorkDone[],
  { movement, method, levelId, today }: { movement: Movement; method: Method; levelId: string; today: string },
): GateForecast {
  const none = (why: Sentence): GateForecast => ({ levelId, onDay: null, fromDay: null, toDay: null, why, sooner: [] });
  const sessions = history.length;
  const days = sessions > 0 ? daysBetween(itemAt(history, 0).onDay, lastOf(history).onDay) : 0;
  if (sessions < FEWEST_SESSIONS || days < FEWEST_DAYS) {
    return none(
      say`Can’t tell yet: ${counted(sessions, 'session')} over ${counted(days, 'day')} so far; it takes ${FEWEST_SESSIONS} over ${counted(FEWEST_DAYS, 'day')}.`,
    );
  }
  const heights = history.map((done) => heightOf(movement, done, method));
  const goal = movement.ladder.findIndex(({ id }) => id === levelId) + 1;
  if (lastOf(heights) >= goal) return none('Already done.');
  if (lastOf(heights) <= itemAt(heights, 0)) return none(say`Can’t tell yet: no progress in the last ${counted(sessions, 'session')}.`);
  const question: CourseQuestion = { history, movement, method, today, goal, furthestDays: FURTHEST_DAYS };
  const course = gateCourses(question, {}, TAIL);
  const late = quantile(course, 1 - TAIL);
  if (late > FURTHEST_DAYS) return none('Can’t tell: more than one prediction in ten is over a year away.');
  const on = (share: number) => addDays(today, Math.round(quantile(course, share)));
  if (late - quantile(course, TAIL) > WIDEST_DAYS) {
    return none(say`Too uncertain: eight predictions in ten fall between ${calendarDay(on(TAIL))} and ${calendarDay(on(1 - TAIL))}.`);
  }
  return {
    levelId,
    ...{ onDay: on(0.5), fromDay: on(TAIL), toDay: on(1 - TAIL) },
    why: say`From the ${sessions} sessions since ${calendarDay(itemAt(history, 0).onDay)}: eight predictions in ten fall in this range.`,
    sooner: soonerBy(question, quantile(course, 0.5)),
  };
}

/** What of it is in somebody’s hands: training oftener, without long gaps and without flare-ups. */
function soonerBy(question: CourseQuestion, now: number): Sooner[] {
  const { history } = question;
  const days = daysBetween(itemAt(history, 0).onDay, lastOf(history).onDay);
  const aWeek = (DAYS_A_WEEK * (history.length - 1)) / days;
  const longest = Math.ceil(DAYS_A_WEEK / aWeek);
  const ways: { words: string; habits: OtherHabits }[] = [
    { words: 'one more session a week', habits: { gapTimes: aWeek / (aWeek + 1) } },
    { words: `no gap longer than ${counted(longest, 'day')}`, habits: { longestGap: longest } },
    { words: 'without a flare-up', habits: { withoutSetbacks: true } },
  ];
  // Where half of the courses are no sooner, none is followed to its end.
  const nearer = { ...question, furthestDays: Math.ceil(now) };
  return ways.flatMap(({ words, habits }) => {
    const sooner = Math.round(now - quantile(gateCourses(nearer, habits, HALF), HALF));
    return sooner >= WORTH_DAYS ? [{ words, days: sooner }] : [];
  });
}
