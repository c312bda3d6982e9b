import { mondayOf, type Programme, weekIndexOf } from '../model/programme.js';
import { addDays } from '../vocabulary/days.js';
import { type DoneDay, matchDone } from './done-days.js';

/** What became of a week’s sessions. */
export interface WeekProgress {
  monday: string;
  done: number;
  missed: number;
  ahead: number;
}

/** What became of the sessions of each week until a day, and how many are still to come. */
export function weekProgress(programme: Programme, done: readonly DoneDay[], today: string): WeekProgress[] {
  const stateOf = matchDone(programme, done, today);
  const monday = mondayOf(programme.fromDay);
  return programme.weeks.map((_, index): WeekProgress => {
    const states = programme.sessions.filter(({ day }) => weekIndexOf(programme, day) === index).map(stateOf);
    const count = (...of: readonly ReturnType<typeof stateOf>[]) => states.filter((state) => of.includes(state)).length;
    return { monday: addDays(monday, 7 * index), done: count('done'), missed: count('missed'), ahead: count('due', 'planned') };
  });
}
