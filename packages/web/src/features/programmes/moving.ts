import { addDays, isAhead, lastDayOf, type PlannedSession, type ProgrammeView } from '@clay-pot/core';
import { choose } from '../../store/calendar.js';
import { changeProgramme } from '../../store/programme.js';
import { useToast } from '../../ui/toast.js';
import { undoProgramme } from '../../store/programme.js';

/** Whether a session may go so many days on: what was done stays, and nothing goes into the past or out of the programme. */
export function canMove({ programme, today }: ProgrammeView, session: PlannedSession, days: number): boolean {
  const to = addDays(session.day, days);
  return isAhead(session) && to >= programme.fromDay && to >= today && to <= lastDayOf(programme);
}

/** Moves a session by days, where that may be. */
export function moveBy(view: ProgrammeView, session: PlannedSession, days: number): void {
  if (canMove(view, session, days)) changeProgramme([{ kind: 'move', sessionId: session.id, day: addDays(session.day, days) }]);
}

/** Takes a session out; a word brings it back. */
export function leaveOut({ id, day, sequence }: PlannedSession): void {
  changeProgramme([{ kind: 'remove', sessionId: id }]);
  choose({ kind: 'day', day });
  useToast.getState().show({ text: `${sequence?.title ?? 'The session'} skipped.`, action: { label: 'Undo', run: undoProgramme } });
}
