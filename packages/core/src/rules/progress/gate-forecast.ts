import { calendarDay, say, type Sentence } from '../../vocabulary/sentence.js';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { quantile } from 'simple-statistics';
import { findLevel, type Movement } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { working } from '../../vocabulary/constant.js';
import { addDays, daysBetween } from '../../vocabulary/days.js';
import { itemAt, lastOf } from '../../vocabulary/lists.js';
import { counted } from '../../vocabulary/text.js';
import { gateOf } from './gates.js';
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
const DRAWS = 400;
/** The same history always gives the same days. */
const SEED = 20261128;
const TAIL = 0.1;
/** Less sooner than this is no advice. */
const WORTH_DAYS = 3;
const DAYS_A_WEEK = 7;

/** From one session to the next: how far up the ladder, and how many days. */
interface Stride {
  readonly rise: number;
  readonly days: number;
}

/** How far up a ladder a session was: the level, and how much of its gate. */
export function heightOf(movement: Movement, done: WorkDone, method: Pick<Method, 'effortCeilingPercent'>): number {
  const level = findLevel(movement, done.levelId);
  const gate = level && gateOf(level, done.unit, method);
  if (!level) return 0;
  const amount = Math.max(1, done.sets) * done.amount;
  const share = gate ? amount / (gate.sets * gate.amount) : 0;
  const effort = gate?.effortPercent === undefined ? 1 : Math.min(1, (done.effortPercent ?? 0) / gate.effortPercent);
  return movement.ladder.indexOf(level) + Math.min(1, share) * effort;
}

/**
 * Between what days the gate of a level is likely passed: the steps between somebody’s own sessions are resampled, with repeats, until it is reached
 * (Efron 1979, Ann Stat 7:1–26). @param history of one movement and hand, oldest first
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
  const strides = heights.slice(1).map((height, index): Stride => ({
    rise: height - itemAt(heights, index),
    days: Math.max(1, daysBetween(itemAt(history, index).onDay, itemAt(history, index + 1).onDay)),
  }));
  if (lastOf(heights) <= itemAt(heights, 0)) return none(say`Can’t tell yet: no progress in the last ${counted(sessions, 'session')}.`);
  const course = arrivals(strides, goal - lastOf(heights));
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
    sooner: soonerBy(strides, goal - lastOf(heights), quantile(course, 0.5)),
  };
}

/** Days until a height is reached, in many courses; one that never comes there is as far as can be. */
function arrivals(strides: readonly Stride[], rise: number): number[] {
  const random = xoroshiro128plus(SEED);
  return Array.from({ length: DRAWS }, () => {
    let [height, days] = [0, 0];
    while (height < rise && days <= 2 * FURTHEST_DAYS) {
      const stride = itemAt(strides, uniformInt(random, 0, strides.length - 1));
      height = Math.max(-1, height + stride.rise);
      days += stride.days;
    }
    return days;
  });
}

/** What of it is in somebody’s hands: training oftener, and no steps back. */
function soonerBy(strides: readonly Stride[], rise: number, now: number): Sooner[] {
  const days = strides.reduce((sum, stride) => sum + stride.days, 0);
  const aWeek = (DAYS_A_WEEK * strides.length) / days;
  const fewerDays = aWeek / (aWeek + 1);
  const longest = Math.ceil(DAYS_A_WEEK / aWeek);
  const ways: { words: string; strides: Stride[] }[] = [
    { words: 'one more session a week', strides: strides.map((each) => ({ ...each, days: Math.max(1, each.days * fewerDays) })) },
    {
      words: `no gap longer than ${counted(longest, 'day')}`,
      strides: strides.map((each) => ({ ...each, days: Math.min(each.days, longest) })),
    },
    { words: 'without steps back', strides: strides.map((each) => ({ ...each, rise: Math.max(0, each.rise) })) },
  ];
  return ways.flatMap(({ words, strides: other }) => {
    const sooner = Math.round(now - quantile(arrivals(other, rise), 0.5));
    return sooner >= WORTH_DAYS ? [{ words, days: sooner }] : [];
  });
}
