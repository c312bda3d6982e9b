import { calendarDay, say } from '../../vocabulary/sentence.js';
import { AWAY_KINDS, type Away } from '../../model/programme.js';
import { addDays } from '../../vocabulary/days.js';
import { lastDayOf, type PlannedSession, type ProgrammeContext } from '../seen.js';
import type { ProgrammeFix } from '../finding.js';

/** The days away that a day lies in. */
export const awayOn = ({ programme }: Pick<ProgrammeContext, 'programme'>, day: string): Away | undefined =>
  programme.away?.find(({ fromDay, toDay }) => fromDay <= day && day <= toDay);

/** Whether there is training on a day. */
export function isTrainingDay(view: ProgrammeContext, day: string): boolean {
  const away = awayOn(view, day);
  return !away || AWAY_KINDS[away.kind].trains;
}

/** So far from its day a session is offered another. */
const MOST_DAYS = 4;

/** The nearest day that is free for a session: later before earlier, not before today, without other loading work. */
export function freeDayFor(view: ProgrammeContext, session: PlannedSession, suits: (day: string) => boolean): string | undefined {
  const { programme, today, sessions } = view;
  const [first, last] = [programme.fromDay > today ? programme.fromDay : today, lastDayOf(programme)];
  const isFree = (day: string) =>
    !sessions.some((each) => each.day === day && each.id !== session.id && (each.load?.isLoading || each.planId === session.planId));
  for (let off = 1; off <= MOST_DAYS; off++) {
    for (const day of [addDays(session.day, off), addDays(session.day, -off)]) {
      if (day >= first && day <= last && isTrainingDay(view, day) && isFree(day) && suits(day)) return day;
    }
  }
  return undefined;
}

/** Moves a session to the nearest day that suits, or takes it out where there is none. */
export function movedOrOut(view: ProgrammeContext, session: PlannedSession, suits: (day: string) => boolean): ProgrammeFix {
  const day = freeDayFor(view, session, suits);
  return day === undefined
    ? { label: 'Remove this session', edits: [{ kind: 'remove', sessionId: session.id }] }
    : { label: say`Move it to ${calendarDay(day)}`, edits: [{ kind: 'move', sessionId: session.id, day }] };
}
