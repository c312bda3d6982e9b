import { addDays, weekdayOf } from '../vocabulary/days.js';

/** A sequence given to an athlete on certain weekdays. */
export interface Assignment {
  readonly id: string;
  readonly sequenceId: string;
  readonly athleteId: string;
  readonly weekdays: readonly number[];
  /** First day it holds, ISO. */
  readonly fromDay: string;
}

/** A carried-out session, as far as being due is concerned; `day` in the studio's time zone. */
export interface SessionDay {
  readonly sequenceId: string;
  readonly athleteId: string;
  readonly day: string;
}

/** An assignment on a day: whether it is due, done or rested, and the days that were missed. */
export interface Due {
  readonly assignment: Assignment;
  readonly state: 'due' | 'done';
  /** Days of the seven before `day` on which it was due and nothing was done. */
  readonly missedDays: readonly string[];
}

/** Who is due on a day, with the misses of the week before. */
export function dueOn(day: string, assignments: readonly Assignment[], sessions: readonly SessionDay[]): Due[] {
  const done = new Set(sessions.map((session) => `${session.sequenceId}|${session.athleteId}|${session.day}`));
  const wasDone = (assignment: Assignment, on: string) =>
    done.has(`${assignment.sequenceId}|${assignment.athleteId}|${on}`);
  const isPlanned = (assignment: Assignment, on: string) =>
    assignment.fromDay <= on && assignment.weekdays.includes(weekdayOf(on));
  return assignments
    .filter((assignment) => isPlanned(assignment, day))
    .map((assignment) => {
      const week = [-7, -6, -5, -4, -3, -2, -1].map((offset) => addDays(day, offset));
      const missedDays = week.filter((on) => isPlanned(assignment, on) && !wasDone(assignment, on));
      return { assignment, state: wasDone(assignment, day) ? 'done' : 'due', missedDays };
    });
}
