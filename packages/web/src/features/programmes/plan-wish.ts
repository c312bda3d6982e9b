import {
  addDays,
  apart,
  checkWish,
  EASY_PLAN,
  type Fault,
  LOADING_PLAN,
  mondayOf,
  type ScheduleWish,
  scheduled,
  weeksUntil,
} from '@clay-pot/core';
import { startingPointOf } from '@clay-pot/core/library';
import { methodFor } from '../../store/library.js';

/** The settings of a new programme in the form. */
export interface PlanWish {
  readonly title: string;
  readonly goalId: string;
  readonly methodId: string;
  readonly fromDay: string;
  readonly weeks: number;
  readonly weekdays: readonly number[];
  readonly loadingDays: number;
  readonly loadingMin: number;
  readonly hasEasy: boolean;
  readonly easyMin: number;
  readonly eventDay: string;
  readonly eventName: string;
  /** A stored sequence in the place of a composed one; empty where it is composed. */
  readonly loadingId: string;
  readonly easyId: string;
}

const USUAL_WEEKS = 8;
const USUAL_EASY_MIN = 10;
const EVERY_DAY = [1, 2, 3, 4, 5, 6, 7];

/** Where a wish begins: as the weeks of its method begin, from the next Monday. */
export function firstPlanWish(goalId: string, methodId: string, today: string): PlanWish {
  const fromDay = mondayOf(today) === today ? today : addDays(mondayOf(today), 7);
  const plain = {
    title: '',
    goalId,
    methodId,
    fromDay,
    weeks: USUAL_WEEKS,
    weekdays: EVERY_DAY,
    eventDay: '',
    eventName: '',
    loadingId: '',
    easyId: '',
  };
  return { ...plain, ...asMethodBegins(methodId) };
}

/** What of a wish a method says. */
export function asMethodBegins(methodId: string): Pick<PlanWish, 'loadingDays' | 'loadingMin' | 'hasEasy' | 'easyMin'> {
  const { loadingDays, loadingMin, easyMin } = startingPointOf(methodId);
  return { loadingDays, loadingMin, hasEasy: easyMin !== null, easyMin: easyMin ?? USUAL_EASY_MIN };
}

/** The weeks that a wish asks for: to its event, or as many as it says. */
export function scheduleWishOf(wish: PlanWish): ScheduleWish {
  const { fromDay, weekdays, loadingDays, loadingMin, hasEasy, easyMin, eventDay, eventName, methodId } = wish;
  const { easierEvery } = startingPointOf(methodId);
  const isTo = eventDay !== '';
  return {
    ...{ fromDay, weekdays, loadingDays, loadingMin, easierEvery },
    weeks: isTo && eventDay >= fromDay ? weeksUntil(fromDay, eventDay) : wish.weeks,
    easyMin: hasEasy ? easyMin : null,
    ...(isTo && { event: { day: eventDay, name: eventName.trim() || 'The event' } }),
  };
}

/** Everything that keeps a programme from being made of a wish, by field. */
export const faultsOfWish = (wish: PlanWish, today: string): Fault[] => checkWish(scheduleWishOf(wish), today, methodFor(wish));

/** The field of the form that a fault of a wish belongs to. */
export const fieldOfWish = (pointer: string): string => (pointer === '/event/day' ? 'eventDay' : pointer.slice(1));

/** The weeks and sessions of a wish, and on which weekdays it loads. */
export function schemeOf(wish: PlanWish) {
  const scheduleWish = scheduleWishOf(wish);
  const { weeks, sessions } = scheduled(scheduleWish);
  const count = (plan: string) => sessions.filter(({ planId }) => planId === plan).length;
  return {
    ...{ weeks, sessions },
    ...(scheduleWish.event && { event: scheduleWish.event }),
    loading: count(LOADING_PLAN),
    easy: count(EASY_PLAN),
    loadingWeekdays: apart(wish.weekdays, wish.loadingDays),
  };
}
