import type { Method } from '../model/method.js';
import { inDayOrder, mondayOf, type PlannedDay, type Programme } from '../model/programme.js';
import { addDays, daysBetween } from '../vocabulary/days.js';
import { AMOUNTS, type AmountLoads, workLoad } from './amount-loads.js';
import { EASY_PLAN, hardSpacingDays, isAvailable, LOADING_PLAN, type ScheduleWish } from './schedule.js';
import { HARD_CLEAR_DAYS, LOADING_CLEAR_DAYS, TAPER_SHARE, weekToward } from './toward-event.js';

/** What a taper is fitted to. */
export interface TaperQuestion {
  readonly programme: Programme;
  readonly wish: ScheduleWish;
  readonly loads: AmountLoads;
  readonly method: Pick<Method, 'hardSpacingH'>;
  /** What the week with the most load comes to. */
  readonly peak: number;
}

/** Each session fewer than usual counts as much as so many points off half of the load: a taper keeps how often. */
const FEWER = 0.04;

/**
 * The days that lead to an event: as often as usual, at the same effort, with about half the load of the fullest week; hard sessions end three days before it, what
 * loads at all two days. (Bosquet et al. 2007, Med Sci Sports Exerc 39:1358–65)
 */
export function tapered({ programme, wish, loads, method, peak }: TaperQuestion): Programme {
  const { event } = programme;
  if (!event) return programme;
  const monday = addDays(mondayOf(programme.fromDay), 7 * weekToward(programme, event.day));
  const before = programme.sessions.filter(({ day }) => day < monday);
  const days = daysFrom(monday > programme.fromDay ? monday : programme.fromDay, event.day).filter((day) => isAvailable(wish, day));
  const lastHard = inDayOrder(before).findLast((session) => (loads(session, 100)?.hard.length ?? 0) > 0)?.day;
  const at = (day: string): PlannedDay => ({ id: day, day, planId: LOADING_PLAN });
  let best: { days: readonly string[]; percent: number } = { days: [], percent: AMOUNTS[0] ?? 0 };
  let least = Infinity;
  for (const percent of AMOUNTS) {
    const load = loads(at(monday), percent);
    const isHard = (load?.hard.length ?? 0) > 0;
    const gap = isHard ? hardSpacingDays(method) : 1;
    const possible = days.filter((day) => {
      const left = daysBetween(day, event.day);
      return left > (isHard ? HARD_CLEAR_DAYS : LOADING_CLEAR_DAYS) && (lastHard === undefined || daysBetween(lastHard, day) >= gap);
    });
    for (let count = 1; count <= wish.loadingDays; count++) {
      const some = spread(possible, count, gap);
      if (!some) break;
      const off = Math.abs((count * workLoad(load)) / peak - TAPER_SHARE) + FEWER * (wish.loadingDays - count);
      if (off < least - 1e-9) [best, least] = [{ days: some, percent }, off];
    }
  }
  const easy =
    wish.easyMin === null ? [] : days.filter((day) => !best.days.includes(day)).map((day) => ({ ...at(day), planId: EASY_PLAN }));
  const sessions = inDayOrder([...before, ...best.days.map(at), ...easy]).map((session, index) => ({ ...session, id: `s${index + 1}` }));
  return {
    ...programme,
    sessions,
    weeks: programme.weeks.map((week) => (week.kind === 'taper' ? { ...week, amountPercent: best.percent } : week)),
  };
}

function daysFrom(first: string, end: string): string[] {
  const days: string[] = [];
  for (let day = first; day < end; day = addDays(day, 1)) days.push(day);
  return days;
}

/** Of some days so many with at least a gap between, spread over all of them; null where there are too few. */
function spread(days: readonly string[], count: number, gap: number): readonly string[] | null {
  const [first, last] = [days[0], days.at(-1)];
  if (first === undefined || last === undefined) return null;
  for (let apart = Math.max(gap, Math.floor(daysBetween(first, last) / Math.max(1, count - 1))); apart >= gap; apart--) {
    const some: string[] = [];
    for (const day of days) {
      const before = some.at(-1);
      if (before === undefined || daysBetween(before, day) >= apart) some.push(day);
    }
    if (some.length >= count) return some.slice(0, count);
  }
  return null;
}
