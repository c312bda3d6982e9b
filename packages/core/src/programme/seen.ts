import type { PastLoad } from '../effort/past.js';
import type { SessionQuestion } from '../effort/session-view.js';
import type { Person } from '../mechanics/capacity.js';
import type { Method } from '../model/method.js';
import type { Movement, MovementLookup } from '../model/movement.js';
import { endOf, mondayOf, type PlannedDay, type Programme, type ProgrammeWeek } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { addDays } from '../vocabulary/days.js';
import { type GroupDoses, type MuscleGroup, partsOf, type SideGroup } from '../vocabulary/muscles.js';
import type { DayLoad, DoneDay, SessionState } from './done-days.js';
import type { SessionLoad } from './session-load.js';
import type { PlanSequences } from './session-plan.js';

/** What a programme is examined for. */
export interface ProgrammeQuestion {
  readonly programme: Programme;
  readonly sequences: PlanSequences;
  readonly lookup: MovementLookup;
  /** Movements that a fix may put in another’s place. */
  readonly shelf: readonly Movement[];
  readonly person: Person;
  readonly method: Method;
  /** What is on record of an athlete; null for anybody. */
  readonly athlete: SessionQuestion['athlete'];
  /** What was carried out, in the studio’s days. */
  readonly past: readonly DayLoad[];
  /** Which sequences were carried out when, in the studio’s days. */
  readonly done: readonly DoneDay[];
  /** ISO day. */
  readonly today: string;
}

/** A session of the calendar with all that is known of it. */
export interface PlannedSession extends PlannedDay {
  readonly state: SessionState;
  /** Both null where its sequence was removed. */
  readonly sequence: Sequence | null;
  readonly load: SessionLoad | null;
  readonly weekIndex: number;
}

/** A week with what it comes to: what was done until today, what is planned from then on. */
export interface WeekView extends ProgrammeWeek {
  readonly index: number;
  readonly monday: string;
  readonly sessions: readonly PlannedSession[];
  readonly durationMs: number;
  readonly doses: GroupDoses;
}

/** A programme with all that rules read of it. */
export interface ProgrammeContext extends ProgrammeQuestion {
  readonly sessions: readonly PlannedSession[];
  readonly weeks: readonly WeekView[];
  /** What was carried out and what is still planned, as one course, at noon of its days. */
  readonly course: readonly PastLoad[];
}

/** Days are compared as days: noon represents the whole day. */
export const noonOf = (day: string) => `${day}T12:00:00.000Z`;
/** A load as one of a day. */
export const loadOn = ({ day, doses, hard }: DayLoad): PastLoad => ({
  startedAt: noonOf(day),
  endedAt: noonOf(day),
  onDay: day,
  doses,
  hard,
});

/** What a course comes to from one day to another, both counted. */
export function dosesBetween(course: readonly PastLoad[], fromDay: string, toDay: string): GroupDoses {
  const [from, to] = [noonOf(fromDay), noonOf(toDay)];
  return groupDoses(course.filter(({ startedAt }) => startedAt >= from && startedAt <= to));
}

/** Doses of both hands of some sessions, group by group. */
export function groupDoses(loads: readonly (Pick<PastLoad, 'doses'> | null)[]): GroupDoses {
  const sums: Partial<Record<MuscleGroup, number>> = {};
  for (const load of loads) {
    for (const key in load?.doses) {
      const { group } = partsOf(key as SideGroup);
      sums[group] = (sums[group] ?? 0) + (load.doses[key as SideGroup] ?? 0);
    }
  }
  return sums;
}

/** Whether a programme begins within its first week: half a week says nothing of what is usual. */
export const isPartWeek = ({ fromDay }: Pick<Programme, 'fromDay'>, index: number): boolean => index === 0 && mondayOf(fromDay) !== fromDay;

/** Whether a session loads the hands of its plan in this week still. */
export const isAhead = ({ state }: Pick<PlannedSession, 'state'>) => state === 'planned' || state === 'due';

/** The last day of a programme. */
export const lastDayOf = (programme: Programme): string => addDays(endOf(programme), -1);
