import { uniformFloat64 } from 'pure-rand/distribution/uniformFloat64';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { amountOf, setCount } from '../../model/dose.js';
import { findLevel, type Level, type Movement } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { working } from '../../vocabulary/constant.js';
import { addDays, daysBetween } from '../../vocabulary/days.js';
import { itemAt, lastOf } from '../../vocabulary/lists.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import { heightOf } from './gate-height.js';
import { moreThan, type Step, stepAfter } from './level-standing.js';
import type { WorkDone } from './work-done.js';

/** What of somebody’s habits may be otherwise. */
export interface OtherHabits {
  /** Days between sessions, each times this, and no more than so many. */
  readonly gapTimes?: number;
  readonly longestGap?: number;
  /** Nothing flares up. */
  readonly withoutSetbacks?: boolean;
}

/** What courses are drawn from. */
export interface CourseQuestion {
  /** Of one movement and hand, oldest first. */
  readonly history: readonly WorkDone[];
  readonly movement: Movement;
  readonly method: Method;
  /** ISO day. */
  readonly today: string;
  /** The height at which a gate is passed. */
  readonly goal: number;
  readonly furthestDays: number;
}

const DRAWS = 200;
/** The same history always gives the same days. */
const SEED = 20261128;
/** Steps look at the last sessions only. */
const LOOKED_AT = 8;
/** What somebody’s sessions are like is read from so many at most: who began long ago is another by now. */
const LATELY = 20;
const HURTS_FROM = 5;

const EXERTION_RISE = working(
  'Prediction: exertion with each level',
  2,
  'points',
  'a level more is harder by one or two points, at the same strength',
  [0.5, 3],
).value;
const EFFORT_RISE = working(
  'Prediction: exertion with effort',
  0.12,
  'points for each % of the maximum',
  'ratings of ten follow the share of the maximum, and time adds to it',
  [0.08, 0.15],
).value;
const EFFORT_SPREAD = 0.3;
const LEVEL_SCATTER = working(
  'Prediction: levels differ',
  0.8,
  'points',
  'one level is harder for somebody than the next one',
  [0.4, 1.5],
).value;
const WEEKLY_EASE = working(
  'Prediction: exertion falls',
  0.08,
  'points a week',
  'one and a half percent of strength a week',
  [0, 0.15],
).value;
const DISCOMFORT_RISE = working(
  'Prediction: discomfort with each level',
  0.4,
  'points',
  'what loads more is felt a little more',
  [0, 1],
).value;
const SETBACKS = working(
  'Prediction: flare-ups',
  0.006,
  'of sessions',
  'one in five has one in twelve weeks of three sessions',
  [0.002, 0.015],
).value;
/** As much as so many sessions of somebody’s own say of it. */
const SETBACK_SESSIONS = 60;
const SETBACK_DAYS = 12;
const PERSON_SPREAD = 0.6;

type Draw = () => number;

/** Days until a gate is passed in many courses of what comes; twice the days that are looked at where it is not within them. */
export function gateCourses(question: CourseQuestion, habits: OtherHabits = {}, mostLate = 1): number[] {
  const own = habitsOf(question);
  const random = xoroshiro128plus(SEED);
  const even = () => uniformFloat64(random);
  const whole = (below: number) => uniformInt(random, 0, below - 1);
  const onDay = daysFrom(question.today);
  const courses: number[] = [];
  let late = 0;
  // Where too many never come there in time, nothing is told of any.
  while (courses.length < DRAWS && late <= mostLate * DRAWS) {
    const days = course({ ...question, onDay }, own, habits, even, whole);
    if (days > question.furthestDays) late++;
    courses.push(days);
  }
  return courses;
}

/** Days after another, each written once. */
function daysFrom(today: string): (days: number) => string {
  const known: string[] = [];
  return (days) => (known[days] ??= addDays(today, days));
}

/** What somebody’s own sessions tell of those that come. */
interface Habits {
  readonly gaps: readonly number[];
  /** Sessions in which nothing had flared up. */
  readonly outcomes: readonly WorkDone[];
  readonly heights: ReadonlyMap<WorkDone, number>;
  readonly flares: number;
  readonly sessions: number;
  /** By how much the amount of a set grew where it did. */
  readonly growth: readonly number[];
  /** How exertion rises with a level, by what somebody’s own sessions say of it and what is usual. */
  readonly rise: { readonly mean: number; readonly sd: number };
  /** How likely it is that every so manieth week is easier. */
  readonly deloadShare: number;
  /** Whether more was done when the rules would have it, and when they would not. */
  readonly advised: readonly boolean[];
  readonly unadvised: readonly boolean[];
}

function habitsOf({ history, movement, method }: CourseQuestion): Habits {
  const lately = history.slice(-LATELY);
  const heights = new Map(lately.map((done) => [done, heightOf(movement, done, method)]));
  const hurts = ({ discomfort }: WorkDone) => (discomfort ?? 0) >= HURTS_FROM;
  const [advised, unadvised]: [boolean[], boolean[]] = [[], []];
  lately.slice(1).forEach((done, index) => {
    const until = lately.slice(Math.max(0, index + 1 - LOOKED_AT), index + 1);
    const before = itemAt(lately, index);
    const isMore = (heights.get(done) ?? 0) > (heights.get(before) ?? 0) + ROUNDING;
    const { kind } = stepAfter(until, { movement, method, today: done.onDay, isBarred: false });
    if (MORE.includes(kind)) advised.push(isMore);
    else if (kind === 'hold') unadvised.push(isMore);
  });
  return {
    gaps: lately.slice(1).map((done, index) => Math.max(1, daysBetween(itemAt(lately, index).onDay, done.onDay))),
    outcomes: lately.filter((done) => !hurts(done)),
    heights,
    flares: lately.filter((done, index) => hurts(done) && (index === 0 || !hurts(itemAt(lately, index - 1)))).length,
    sessions: lately.length,
    growth: lately.slice(1).flatMap((done, index) => {
      const before = itemAt(lately, index);
      const isSame = before.levelId === done.levelId && before.unit === done.unit && before.sets === done.sets;
      return isSame && done.amount > before.amount ? [done.amount - before.amount] : [];
    }),
    rise: riseOf(lately, heights),
    deloadShare: deloadShareOf(lately, heights),
    advised,
    unadvised,
  };
}
/** Of ratings nobody is surer than this, points. */
const RATING_SD = 1;

/** The slope of exertion over height: least squares, drawn toward what is usual as far as the sessions say little. */
function riseOf(lately: readonly WorkDone[], heights: ReadonlyMap<WorkDone, number>): Habits['rise'] {
  const rated = lately.flatMap((done) => (done.exertion === null ? [] : [{ x: heights.get(done) ?? 0, y: done.exertion }]));
  const mean = (of: (each: { x: number; y: number }) => number) =>
    rated.reduce((sum, each) => sum + of(each), 0) / Math.max(1, rated.length);
  const [x, y] = [mean((each) => each.x), mean((each) => each.y)];
  const spread = rated.reduce((sum, each) => sum + (each.x - x) ** 2, 0);
  const slope = spread > 0 ? rated.reduce((sum, each) => sum + (each.x - x) * (each.y - y), 0) / spread : 0;
  const [own, usual] = [spread / RATING_SD ** 2, 1 / RISE_SPREAD ** 2];
  return { mean: (own * slope + usual * EXERTION_RISE) / (own + usual), sd: 1 / Math.sqrt(own + usual) };
}
const RISE_SPREAD = 1.5;
const EASE_SPREAD = 0.08;
const DELOAD_WEEKS = 4;

/** Every fourth week is easier for those of whom a week was that came back; of few weeks nobody knows. */
function deloadShareOf(lately: readonly WorkDone[], heights: ReadonlyMap<WorkDone, number>): number {
  const at = lately.map((done) => heights.get(done) ?? 0);
  const dips = at.filter((height, index) => {
    const [before, later] = [at[index - 1], at.slice(index + 1, index + 1 + LOOKED_AT)];
    return before !== undefined && height < before - DIP && later.some((each) => each >= before - ROUNDING);
  });
  if (dips.length > 0) return 0.9;
  return daysBetween(itemAt(lately, 0).onDay, lastOf(lately).onDay) > 7 * (DELOAD_WEEKS + 1) ? 0.15 : 0.5;
}
const DIP = 0.1;

const MORE: readonly Step['kind'][] = ['amount', 'sets', 'effort', 'level up'];
const ROUNDING = 1e-6;

/** One course of what comes: sessions as somebody’s own were, at steps as the rules have them and somebody takes them. */
function course(
  question: CourseQuestion & { readonly onDay: (days: number) => string },
  own: Habits,
  habits: OtherHabits,
  even: Draw,
  whole: (below: number) => number,
): number {
  const { movement, method, today, goal, furthestDays } = question;
  const normal = () => Math.sqrt(-2 * Math.log(1 - even())) * Math.cos(2 * Math.PI * even());
  const pool = <T>(of: readonly T[]): T[] => of.map(() => itemAt(of, whole(of.length)));
  const [gaps, outcomes] = [pool(own.gaps), pool(own.outcomes.length > 0 ? own.outcomes : question.history.slice(-1))];
  const shareOf = (events: readonly boolean[], prior: readonly boolean[]) => {
    const drawn = pool([...events, ...prior]);
    return drawn.filter(Boolean).length / drawn.length;
  };
  const follows = shareOf(own.advised, [true, true]);
  const hurries = shareOf(own.unadvised, [false, false, false, false, false]);
  const flareRate = habits.withoutSetbacks
    ? 0
    : ((own.flares + SETBACKS * SETBACK_SESSIONS) / (own.sessions + SETBACK_SESSIONS)) * Math.exp(PERSON_SPREAD * normal());
  const rise = Math.max(0, own.rise.mean + own.rise.sd * normal());
  const effortRise = Math.max(0, EFFORT_RISE * (1 + EFFORT_SPREAD * normal()));
  const easeWeekly = Math.max(0, WEEKLY_EASE + EASE_SPREAD * normal());
  const deloads = even() < own.deloadShare;
  const discomfortRise = Math.max(0, DISCOMFORT_RISE + 0.4 * normal());
  const offsets = new Map<string, number>([[lastOf(question.history).levelId, 0]]);
  const offsetOf = (levelId: string) => {
    let offset = offsets.get(levelId);
    if (offset === undefined) offsets.set(levelId, (offset = LEVEL_SCATTER * normal()));
    return offset;
  };
  let history = question.history.slice(-LOOKED_AT);
  const phase = 7 * whole(DELOAD_WEEKS);
  let [days, flareUntil] = [0, -1];
  const sinceLast = Math.max(0, daysBetween(lastOf(history).onDay, today));
  for (let number = 0; ; number++) {
    const gap = Math.min(habits.longestGap ?? Infinity, itemAt(gaps, whole(gaps.length)) * (habits.gapTimes ?? 1));
    days += number === 0 ? Math.max(0, gap - sinceLast) : Math.max(1, gap);
    if (days > furthestDays) return 2 * furthestDays;
    // In an easier week nothing is more than it was.
    if (deloads && Math.floor((days + phase) / 7) % DELOAD_WEEKS === 0) continue;
    const onDay = question.onDay(Math.round(days));
    const step = taken(stepAfter(history, { movement, method, today: onDay, isBarred: false }));
    const next = after(lastOf(history), step, movement);
    const height = heightOf(movement, next, method);
    const like = itemAt(outcomes, whole(outcomes.length));
    const more = height - (own.heights.get(like) ?? height);
    if (days > flareUntil && even() < flareRate) flareUntil = days + SETBACK_DAYS;
    const isSore = days <= flareUntil;
    const harder = effortRise * ((next.effortPercent ?? 0) - (like.effortPercent ?? next.effortPercent ?? 0));
    const exertion = (like.exertion ?? 5) + rise * more + harder + offsetOf(next.levelId) - (easeWeekly * days) / 7;
    const discomfort = like.discomfort === null ? null : Math.max(0, Math.round(like.discomfort + discomfortRise * Math.max(0, more)));
    const done: WorkDone = {
      ...next,
      onDay,
      endedAt: `${onDay}T12:00:00.000Z`,
      sessionId: `${number}`,
      isWhole: like.isWhole && exertion < TOO_HARD,
      exertion: Math.min(10, Math.max(0, Math.round(exertion))),
      discomfort: isSore ? HURTS_FROM : discomfort,
      morning: isSore ? 'step-back' : like.morning,
      formFaults: like.formFaults,
    };
    if (done.isWhole && height >= goal - ROUNDING) return days;
    history = [...history.slice(1 - LOOKED_AT), done];
  }

  /** What somebody makes of a step: not every one is taken, and some are taken unasked. */
  function taken(step: Step): Step {
    if (MORE.includes(step.kind)) return even() < follows ? sized(step) : { kind: 'hold' };
    if (step.kind !== 'hold' || even() >= hurries) return step;
    return sized(moreThan(lastOf(history), question) ?? step);
  }

  /** Amounts grow by what they grew by before, as well as by what the rules have them grow by. */
  function sized(step: Step): Step {
    const by = step.kind === 'amount' ? [...own.growth, null][whole(own.growth.length + 1)] : null;
    const { amount } = lastOf(history);
    return step.kind === 'amount' && by ? { kind: 'amount', to: amount + by } : step;
  }
}
const TOO_HARD = 10;

/** The next session’s dose: what a step makes of the last one. */
function after(last: WorkDone, step: Step, movement: Movement): WorkDone {
  switch (step.kind) {
    case 'amount':
      return { ...last, amount: step.to };
    case 'sets':
      return { ...last, sets: step.to };
    case 'effort':
      return { ...last, effortPercent: step.to };
    case 'level up':
    case 'level down': {
      const level = findLevel(movement, step.levelId);
      return level ? atFirst(last, level) : last;
    }
    case 'ease':
      return { ...last, amount: Math.max(1, Math.round(EASED * last.amount)) };
    case 'hold':
      return { ...last, sets: Math.max(1, last.sets) };
  }
}
const EASED = 0.6;

const atFirst = (last: WorkDone, { id, dose }: Level): WorkDone => ({
  ...last,
  levelId: id,
  unit: UNIT_OF[dose.work.kind],
  sets: setCount(dose),
  amount: amountOf(dose.work),
  effortPercent: dose.effortPercent ?? null,
});
