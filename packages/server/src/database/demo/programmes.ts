import {
  addDays,
  EASY_PLAN,
  inDayOrder,
  isNearEvent,
  LOADING_PLAN,
  mondayOf,
  type PlannedDay,
  type Programme,
  weekdayOf,
  weeksOf,
  weeksUntil,
} from '@clay-pot/core';

/** What a programme of the demo is made from. */
export interface DemoProgramme {
  readonly goalId: string;
  readonly loadingId: string;
  readonly easyId: string;
  /** ISO weekdays of what was given. */
  readonly weekdays: readonly number[];
  readonly today: string;
}

const [WEEKS_SO_FAR, WEEKS_TO_THE_SHOW] = [4, 7];
const SATURDAY = 5;
const LAST_LOAD_DAYS = 2;

/** Toward the lantern show: four weeks behind, eight to go; what was given is what loads; from now on the days after it are easy. */
export function towardTheShow({ goalId, loadingId, easyId, weekdays, today }: DemoProgramme): Programme {
  const fromDay = addDays(mondayOf(today), -7 * WEEKS_SO_FAR);
  const event = { day: addDays(mondayOf(today), 7 * WEEKS_TO_THE_SHOW + SATURDAY), name: 'Lantern show' };
  const easyDays = weekdays.map((weekday) => (weekday % 7) + 1).filter((weekday) => !weekdays.includes(weekday));
  const sessions: Omit<PlannedDay, 'id'>[] = [];
  for (let day = fromDay; day < event.day; day = addDays(day, 1)) {
    // The last one before the show is lighter, two days ahead of it.
    const isLast = day === addDays(event.day, -LAST_LOAD_DAYS);
    if (isLast || (weekdays.includes(weekdayOf(day)) && !isNearEvent(event, day))) sessions.push({ day, planId: LOADING_PLAN });
    if (easyDays.includes(weekdayOf(day)) && day > today) sessions.push({ day, planId: EASY_PLAN });
  }
  const weeks = weeksUntil(fromDay, event.day);
  return {
    title: 'Toward the lantern show',
    goalId,
    fromDay,
    weeks: weeksOf({ weeks, easierEvery: 4, event, fromDay }),
    event,
    plans: [
      { id: LOADING_PLAN, sequenceId: loadingId },
      { id: EASY_PLAN, sequenceId: easyId },
    ],
    sessions: inDayOrder(sessions).map((session, index) => ({ id: `s${index + 1}`, ...session })),
  };
}

/** Who of the hall has a programme, and what for. */
export const DEMO_GOALS: Readonly<Record<string, string>> = {
  'Olu Fairweather': 'handstand-load',
  'Callum Reyes-Whitlock': 'handstand-load',
};
