import type { PastLoad, PastSession } from '../effort/past.js';
import { inDayOrder, type PlannedDay, type Programme, PROGRAMME_LIMITS } from '../model/programme.js';
import { addDays, daysBetween } from '../vocabulary/days.js';
import { planOf } from './session-plan.js';

/** What somebody carried out on a day, wherever it was planned. */
export interface DayLoad extends Pick<PastLoad, 'doses' | 'hard'> {
  readonly day: string;
}

/** A sequence that was carried out on a day. */
export interface DoneDay {
  readonly sequenceId: string;
  readonly day: string;
}

/** Growth is judged by the four weeks before a programme, too. */
const BEFORE_DAYS = 28;
/** No farther back than the longest programme and the weeks before it. */
const MOST_DAYS = BEFORE_DAYS + 7 * PROGRAMME_LIMITS.weeks;

/** How many days of what was carried out a programme is computed from. */
export const lookBackDays = ({ fromDay }: Pick<Programme, 'fromDay'>, today: string): number =>
  Math.min(MOST_DAYS, BEFORE_DAYS + Math.max(0, Math.ceil(daysBetween(fromDay, today))));

/** Sessions that were carried out, as a programme reads them. */
export function carriedOutOn(past: readonly PastSession[]): { past: DayLoad[]; done: DoneDay[] } {
  return {
    past: past.map(({ onDay: day, doses, hard }) => ({ day, doses, hard })),
    done: past.flatMap(({ onDay: day, sequenceId }) => (sequenceId === undefined ? [] : [{ sequenceId, day }])),
  };
}

/** What became of a planned session, or is still to come. */
export type SessionState = 'done' | 'missed' | 'due' | 'planned';

/** A session that is led a day or two off its day is still that session. */
const MOST_DAYS_OFF = 2;

/** What became of each session until a day: the same sequence, led on its day, else within two days of it where no other session claims that. */
export function matchDone(programme: Programme, done: readonly DoneDay[], today: string): (session: PlannedDay) => SessionState {
  const free = [...done];
  const matched = new Set<string>();
  const near = inDayOrder(programme.sessions.filter(({ day }) => day <= addDays(today, MOST_DAYS_OFF)));
  for (let off = 0; off <= MOST_DAYS_OFF; off++) {
    for (const { id, day, planId } of near) {
      if (matched.has(id)) continue;
      const { sequenceId } = planOf(programme, planId);
      const at = free.findIndex((each) => each.sequenceId === sequenceId && Math.abs(daysBetween(day, each.day)) === off);
      if (at < 0) continue;
      free.splice(at, 1);
      matched.add(id);
    }
  }
  return ({ id, day }) => {
    if (matched.has(id)) return 'done';
    if (day < today) return 'missed';
    return day === today ? 'due' : 'planned';
  };
}

/** A session that a programme has on a day. */
export interface ProgrammeDue {
  readonly sequenceId: string;
  readonly sessionId: string;
  readonly state: 'due' | 'done';
  /** Days of the seven before on which a session of the same plan was not led. */
  readonly missedDays: readonly string[];
}

/** What a programme has on a day, with the misses of the week before. @param done what was led until then, of this person */
export function dueInProgramme(programme: Programme, done: readonly DoneDay[], on: string): ProgrammeDue[] {
  const stateOf = matchDone(programme, done, on);
  return programme.sessions
    .filter(({ day }) => day === on)
    .map((session): ProgrammeDue => {
      const missed = programme.sessions.filter(({ planId, day }) => planId === session.planId && day < on && day >= addDays(on, -WEEK));
      return {
        sequenceId: planOf(programme, session.planId).sequenceId,
        sessionId: session.id,
        state: stateOf(session) === 'done' ? 'done' : 'due',
        missedDays: inDayOrder(missed.filter((each) => stateOf(each) === 'missed')).map(({ day }) => day),
      };
    });
}
const WEEK = 7;

/**
 * The session of a programme that comes next: today’s until it is done, else the first after it; null where none is left.
 * @param doneToday sequences that were led today
 */
export function nextInProgramme(
  programme: Programme,
  today: string,
  doneToday: readonly string[] = [],
): { day: string; sequenceId: string } | null {
  for (const { day, planId } of inDayOrder(programme.sessions)) {
    if (day < today) continue;
    const { sequenceId } = planOf(programme, planId);
    if (day > today || !doneToday.includes(sequenceId)) return { day, sequenceId };
  }
  return null;
}
