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

const isPlanned = (assignment: Assignment, day: string) => assignment.fromDay <= day && assignment.weekdays.includes(weekdayOf(day));

/** The first day after `day` on which something is planned, with what is; null where nothing is given. */
export function nextAfter<T extends Assignment>(day: string, assignments: readonly T[]): { day: string; assignment: T } | null {
  const coming = assignments.flatMap((assignment) => {
    const first = assignment.fromDay > day ? assignment.fromDay : addDays(day, 1);
    const week = [0, 1, 2, 3, 4, 5, 6].map((offset) => addDays(first, offset));
    const next = week.find((on) => isPlanned(assignment, on));
    return next === undefined ? [] : [{ day: next, assignment }];
  });
  return coming.sort((a, b) => a.day.localeCompare(b.day))[0] ?? null;
}

/** Who is due on a day, with the misses of the week before. */
export function dueOn(day: string, assignments: readonly Assignment[], sessions: readonly SessionDay[]): Due[] {
  const done = new Set(sessions.map((session) => `${session.sequenceId}|${session.athleteId}|${session.day}`));
  const wasDone = (assignment: Assignment, on: string) => done.has(`${assignment.sequenceId}|${assignment.athleteId}|${on}`);
  return assignments
    .filter((assignment) => isPlanned(assignment, day))
    .map((assignment) => {
      const week = [-7, -6, -5, -4, -3, -2, -1].map((offset) => addDays(day, offset));
      const missedDays = week.filter((on) => isPlanned(assignment, on) && !wasDone(assignment, on));
      return { assignment, state: wasDone(assignment, day) ? 'done' : 'due', missedDays };
    });
}
