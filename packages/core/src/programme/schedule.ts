import { AWAY_KINDS, type Away, mondayOf, type PlannedDay, type Programme, PROGRAMME_LIMITS, weekIndexOf } from '../model/programme.js';
import type { Method } from '../model/method.js';
import { SESSIONS_A_WEEK } from '../rules/checks/too-often.js';
import type { Fault } from '../vocabulary/fault.js';
import { SEQUENCE_LIMITS } from '../model/sequence.js';
import { addDays, weekdayOf, WEEKDAYS } from '../vocabulary/days.js';
import { isNearEvent } from './toward-event.js';
import { weeksOf } from './weeks-of.js';

/** How a method’s weeks begin: working choices that a coach changes on the calendar. */
export interface StartingPoint {
  /** In a sentence, what its weeks look like. */
  readonly words: string;
  /** Sessions a week for the goal, and how long each is. */
  readonly loadingDays: number;
  readonly loadingMin: number;
  /** Short easy sessions on the days between; none where it is null. */
  readonly easyMin: number | null;
  /** Every so manieth week is easier; none where it is null. */
  readonly easierEvery: number | null;
}

/** What a schedule is made from. */
export interface ScheduleWish extends Omit<StartingPoint, 'words'> {
  /** ISO day. */
  readonly fromDay: string;
  readonly weeks: number;
  /** ISO weekdays on which there is time. */
  readonly weekdays: readonly number[];
  readonly event?: Programme['event'];
  readonly away?: readonly Away[];
}

/** Plans of a new programme, by what they are for. */
export const LOADING_PLAN = 'loading';
/** Sessions for the goal that are not hard: for loading days that lie too near a hard one. */
export const LIGHTER_PLAN = 'lighter';
/** Short sessions that only move and stretch. */
export const EASY_PLAN = 'easy';

const WHOLE = {
  weeks: { min: 1, max: PROGRAMME_LIMITS.weeks, unit: ' weeks', label: 'Weeks' },
  // One day of the week is without load.
  loadingDays: { min: 1, max: WEEKDAYS.length - 1, unit: '', label: 'Sessions per week' },
  loadingMin: { ...SEQUENCE_LIMITS.budgetMin, unit: ' min', label: 'Minutes per session' },
  easyMin: { ...SEQUENCE_LIMITS.budgetMin, unit: ' min', label: 'Minutes on an easy day' },
} as const;

/** Everything that keeps a schedule from being made. Pointers are fields of the wish. */
export function checkWish(wish: ScheduleWish, today: string, { name, frequency }: Pick<Method, 'name' | 'frequency'>): Fault[] {
  const { weekdays, loadingDays, event, fromDay } = wish;
  const faults = (Object.keys(WHOLE) as (keyof typeof WHOLE)[]).flatMap((name): Fault[] => {
    const value = wish[name];
    const { min, max, unit, label } = WHOLE[name];
    const isSound = value === null || (Number.isInteger(value) && value >= min && value <= max);
    return isSound ? [] : [{ pointer: `/${name}`, message: `must be a whole number within ${min}–${max}${unit}`, label }];
  });
  if (weekdays.length === 0) faults.push({ pointer: '/weekdays', message: 'must name at least one available weekday', label: 'Weekdays' });
  else if (loadingDays > weekdays.length && loadingDays <= WHOLE.loadingDays.max)
    faults.push({
      pointer: '/loadingDays',
      message: `must be at most ${weekdays.length}, the number of available weekdays`,
      label: 'Sessions per week',
    });
  else if (loadingDays > SESSIONS_A_WEEK[frequency])
    faults.push({
      pointer: '/loadingDays',
      message: `must be at most ${SESSIONS_A_WEEK[frequency]}: ${name} allows no more loading sessions a week`,
      label: 'Sessions per week',
    });
  if (event && event.day < today)
    faults.push({ pointer: '/event/day', message: `is in the past: the programme must lead to a day from ${today} on`, label: 'Event' });
  else if (event && event.day < fromDay)
    faults.push({ pointer: '/event/day', message: `must not be before the first day, ${fromDay}`, label: 'Event' });
  return faults;
}

/** Weeks until an event, its own among them. */
export const weeksUntil = (fromDay: string, eventDay: string): number => weekIndexOf({ fromDay }, eventDay) + 1;

/**
 * Of the weekdays on which there is time those that lie farthest apart, around the week; of equal ones the earlier.
 * @example apart([1, 2, 3, 4, 5, 6], 3) → [1, 3, 5]
 */
export function apart(weekdays: readonly number[], count: number): number[] {
  const all = [...new Set(weekdays)].sort((a, b) => a - b);
  let [best, widest] = [all.slice(0, count), -1];
  for (const some of choose(all, Math.min(count, all.length))) {
    const gaps = some.map((day, index) => (some[index + 1] ?? (some[0] ?? 0) + 7) - day);
    // Two days between all of them before more between some: the least gap first, then how even they are.
    const worth = Math.min(...gaps) * 1000 - gaps.reduce((sum, gap) => sum + gap * gap, 0);
    if (widest === -1 || worth > widest) [best, widest] = [some, worth];
  }
  return best;
}

function choose(of: readonly number[], count: number): number[][] {
  if (count === 0) return [[]];
  return of.flatMap((first, index) => choose(of.slice(index + 1), count - 1).map((rest) => [first, ...rest]));
}

const HOURS_A_DAY = 24;
/** Days from one hard session to the next at least. */
export const hardSpacingDays = ({ hardSpacingH }: Pick<Method, 'hardSpacingH'>): number => Math.ceil(hardSpacingH / HOURS_A_DAY);

/** How the days of a schedule are filled, beside what was wished for. */
export interface DayPlan {
  /** Days from one hard session to the next at least; one where the sessions are not hard. */
  readonly spacingDays: number;
  /** Whether there is a lighter session for loading days that lie nearer. */
  readonly hasLighter: boolean;
}

/** Of the loading weekdays those that are far enough apart for hard sessions, around the week; the others take a lighter one. */
export function hardWeekdays({ weekdays, loadingDays }: Pick<ScheduleWish, 'weekdays' | 'loadingDays'>, spacingDays: number): number[] {
  const loading = apart(weekdays, loadingDays);
  for (let count = loading.length; count > 1; count--) {
    const some = apart(loading, count);
    const gaps = some.map((day, index) => (some[index + 1] ?? (some[0] ?? 0) + WEEKDAYS.length) - day);
    if (Math.min(...gaps) >= spacingDays) return some;
  }
  return loading.slice(0, 1);
}

/** Sessions on their days: what loads as far apart as the weekdays allow, what is easy between, nothing on days without training, nothing that loads right before an event. */
export function scheduled(
  wish: ScheduleWish,
  { spacingDays, hasLighter }: DayPlan = { spacingDays: 1, hasLighter: false },
): Pick<Programme, 'weeks' | 'sessions'> {
  const { fromDay, weekdays, loadingDays, easyMin, event } = wish;
  const weeks = weeksOf(wish);
  const [loading, hard] = [apart(weekdays, loadingDays), hardWeekdays(wish, spacingDays)];
  const easy = easyMin === null ? null : EASY_PLAN;
  const planOn = (day: string, weekday: number): string | null => {
    if (!loading.includes(weekday) || isNearEvent(event, day)) return easy;
    return hard.includes(weekday) ? LOADING_PLAN : hasLighter ? LIGHTER_PLAN : easy;
  };
  const sessions: PlannedDay[] = [];
  const last = event?.day ?? addDays(mondayOf(fromDay), 7 * weeks.length - 1);
  for (let day = fromDay; day <= last; day = addDays(day, 1)) {
    if (!isAvailable(wish, day)) continue;
    const planId = planOn(day, weekdayOf(day));
    if (planId !== null) sessions.push({ id: `s${sessions.length + 1}`, day, planId });
  }
  return { weeks, sessions };
}

/** Whether somebody trains on a day: it is a weekday with time, not away and not the event’s own. */
export const isAvailable = ({ weekdays, away = [], event }: Pick<ScheduleWish, 'weekdays' | 'away' | 'event'>, day: string): boolean =>
  weekdays.includes(weekdayOf(day)) &&
  day !== event?.day &&
  !away.some((each) => each.fromDay <= day && day <= each.toDay && !AWAY_KINDS[each.kind].trains);
