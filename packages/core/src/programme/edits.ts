import { inDayOrder, type Away, type PlanChange, type PlannedDay, type Programme, type ProgrammeWeek } from '../model/programme.js';

/** A change of a programme as plain data: what a fix, a suggestion or a hand on the calendar does, and what a screen can undo. */
export type ProgrammeEdit =
  | { readonly kind: 'move'; readonly sessionId: string; readonly day: string }
  | { readonly kind: 'remove'; readonly sessionId: string }
  | { readonly kind: 'add'; readonly session: PlannedDay }
  | { readonly kind: 'week'; readonly index: number; readonly week: ProgrammeWeek }
  | { readonly kind: 'away'; readonly away: readonly Away[] }
  | { readonly kind: 'change'; readonly change: PlanChange }
  | { readonly kind: 'take back'; readonly changeId: string };

/** Carries out edits in their order; an edit of a session or a week that is not there does nothing. */
export const editProgramme = (programme: Programme, edits: readonly ProgrammeEdit[]): Programme => edits.reduce(applied, programme);

function applied(programme: Programme, edit: ProgrammeEdit): Programme {
  const { sessions } = programme;
  switch (edit.kind) {
    case 'move':
      return {
        ...programme,
        sessions: inDayOrder(sessions.map((session) => (session.id === edit.sessionId ? { ...session, day: edit.day } : session))),
      };
    case 'remove':
      return { ...programme, sessions: sessions.filter(({ id }) => id !== edit.sessionId) };
    case 'add':
      return { ...programme, sessions: inDayOrder([...sessions, edit.session]) };
    case 'week':
      return { ...programme, weeks: programme.weeks.map((week, index) => (index === edit.index ? edit.week : week)) };
    case 'away':
      return { ...programme, away: [...edit.away] };
    case 'change':
      return { ...programme, changes: [...(programme.changes ?? []), edit.change] };
    case 'take back': {
      const { changes = [], ...rest } = programme;
      const left = changes.filter(({ id }) => id !== edit.changeId);
      return left.length > 0 ? { ...rest, changes: left } : rest;
    }
  }
}

/** An id that no session of the programme has; the same programme gives the same. */
export function freshSessionId({ sessions }: Pick<Programme, 'sessions'>): string {
  const taken = new Set(sessions.map(({ id }) => id));
  let number = sessions.length + 1;
  while (taken.has(`s${number}`)) number++;
  return `s${number}`;
}
