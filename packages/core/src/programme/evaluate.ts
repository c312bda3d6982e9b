import { inDayOrder, mondayOf, type PlannedDay, weekIndexOf } from '../model/programme.js';
import { SEVERITIES } from '../rules/checks/finding.js';
import { addDays } from '../vocabulary/days.js';
import { matchDone } from './done-days.js';
import type { ProgrammeFinding } from './finding.js';
import { PROGRAMME_RULES } from './rules/index.js';
import {
  dosesBetween,
  isAhead,
  loadOn,
  type PlannedSession,
  type ProgrammeQuestion,
  type ProgrammeContext,
  type WeekView,
} from './seen.js';
import { sessionLoad } from './session-load.js';
import { sequencesOn } from './session-plan.js';

/** A programme with all that is computed of it. */
export interface ProgrammeView extends ProgrammeContext {
  /** The gravest first, then by day. */
  readonly findings: readonly ProgrammeFinding[];
}

/** Computes a programme: every session as it would be on its day, every week’s sums, and what the rules say. @throws SequenceError when a plan is not sound */
export function evaluateProgramme(question: ProgrammeQuestion): ProgrammeView {
  const { programme, past, done, today } = question;
  const stateOf = matchDone(programme, done, today);
  const sequenceOf = sequencesOn(programme, question.lookup, { cautions: question.athlete?.cautions ?? [], method: question.method });
  const sessions = inDayOrder(programme.sessions).map((session): PlannedSession => ({
    ...session,
    weekIndex: weekIndexOf(programme, session.day),
    state: stateOf(session),
    ...planned(question, session, sequenceOf),
  }));
  const ahead = sessions.filter(isAhead).flatMap(({ day, load }) => (load ? [loadOn({ ...load, day })] : []));
  const course = [...past.map(loadOn), ...ahead].sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  const monday = mondayOf(programme.fromDay);
  const weeks = programme.weeks.map((week, index): WeekView => {
    const from = addDays(monday, 7 * index);
    const mine = sessions.filter(({ weekIndex }) => weekIndex === index);
    const doses = dosesBetween(course, from, addDays(from, 6));
    const durationMs = mine.reduce((sum, { load, state }) => sum + (state === 'missed' ? 0 : (load?.durationMs ?? 0)), 0);
    return { ...week, index, monday: from, sessions: mine, durationMs, doses };
  });
  const view = { ...question, sessions, weeks, course };
  return { ...view, findings: findingsOf(view) };
}

function planned(
  { sequences, lookup, person }: ProgrammeQuestion,
  session: PlannedDay,
  sequenceOf: ReturnType<typeof sequencesOn>,
): Pick<PlannedSession, 'sequence' | 'load'> {
  const plan = sequences.get(session.planId);
  if (!plan) return { sequence: null, load: null };
  const sequence = sequenceOf(session, plan);
  return { sequence, load: sessionLoad(person, sequence, lookup) };
}

function findingsOf(view: ProgrammeContext): ProgrammeFinding[] {
  return PROGRAMME_RULES.flatMap((rule) =>
    rule.find(view).map((found): ProgrammeFinding => ({
      ...found,
      ...{ rule: rule.id, title: rule.title, severity: rule.severity },
      week: weekIndexOf(view.programme, found.day) + 1,
    })),
  ).sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity) || a.day.localeCompare(b.day));
}
