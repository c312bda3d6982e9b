import type { Movement } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { working } from '../../vocabulary/constant.js';
import { daysBetween } from '../../vocabulary/days.js';
import { itemAt, lastOf } from '../../vocabulary/lists.js';
import { heightOf } from './gate-height.js';
import { type Step, stepAfter } from './level-standing.js';
import type { WorkDone } from './work-done.js';

/** Steps look at the last sessions only. */
export const LOOKED_AT = 8;
/** What somebody’s sessions are like is read from so many at most: who began long ago is another by now. */
const LATELY = 20;
/** From this discomfort on it hurt. */
export const HURTS_FROM = 5;

const EXERTION_RISE = working(
  'Prediction: effort (RPE) by level',
  2,
  'points',
  'a level more is harder by one or two points, at the same strength',
  [0.5, 3],
).value;

/** Whose habits are read, by which rules. */
export interface HabitsQuestion {
  readonly history: readonly WorkDone[];
  readonly movement: Movement;
  readonly method: Method;
}

/** What somebody’s own sessions tell of those that come. */
export interface Habits {
  readonly gaps: readonly number[];
  /** Sessions in which nothing had flared up. */
  readonly outcomes: readonly WorkDone[];
  readonly heights: ReadonlyMap<WorkDone, number>;
  /** The greatest of them. */
  readonly reached: number;
  readonly flares: number;
  readonly sessions: number;
  /** Of each session whether less went than in the one before it. */
  readonly shortDays: readonly boolean[];
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

/** Reads somebody’s habits from their last sessions. @param history of one movement and hand, oldest first */
export function habitsOf({ history, movement, method }: HabitsQuestion): Habits {
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
    reached: Math.max(...heights.values()),
    flares: lately.filter((done, index) => hurts(done) && (index === 0 || !hurts(itemAt(lately, index - 1)))).length,
    sessions: lately.length,
    growth: lately.slice(1).flatMap((done, index) => {
      const before = itemAt(lately, index);
      const isSame = (other: WorkDone) => other.levelId === done.levelId && other.unit === done.unit && other.sets === done.sets;
      // What makes up for a short day is no growth.
      const most = Math.max(
        ...lately
          .slice(0, index + 1)
          .filter(isSame)
          .map(({ amount }) => amount),
      );
      return isSame(before) && done.amount > most ? [done.amount - most] : [];
    }),
    rise: riseOf(lately, heights),
    deloadShare: deloadShareOf(lately),
    shortDays: lately.slice(1).map((done, index) => {
      const share = lessShare(itemAt(lately, index), done);
      return share !== null && share > DELOAD_MOST;
    }),
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
/** So many weeks from one deload to the next. */
export const DELOAD_WEEKS = 4;

/** What was done at last beside what was done before it, where both are of one level and it was less; null where it was not. */
function lessShare(before: WorkDone, done: WorkDone): number | null {
  if (before.levelId !== done.levelId || before.unit !== done.unit || before.effortPercent !== done.effortPercent) return null;
  const share = (done.sets * done.amount) / Math.max(1, before.sets * before.amount);
  return share > 0 && share < 1 ? share : null;
}
/** A deload holds so much of a week at most; less that is more than it is a day on which less went. */
const DELOAD_MOST = 0.7;

/** Every fourth week is easier for those of whom a week was that came back; of few weeks nobody knows. */
function deloadShareOf(lately: readonly WorkDone[]): number {
  const dips = lately.filter((done, index) => {
    const before = lately[index - 1];
    const share = before && lessShare(before, done);
    if (!share || share > DELOAD_MOST) return false;
    return lately.slice(index + 1, index + 1 + LOOKED_AT).some((later) => later.sets * later.amount >= before.sets * before.amount);
  });
  if (dips.length > 0) return 0.9;
  return daysBetween(itemAt(lately, 0).onDay, lastOf(lately).onDay) > 7 * (DELOAD_WEEKS + 1) ? 0.15 : 0.5;
}

/** Steps that ask for more than there was. */
export const MORE: readonly Step['kind'][] = ['amount', 'sets', 'effort', 'level up'];
/** Heights are sums of shares: so near is there. */
export const ROUNDING = 1e-6;
