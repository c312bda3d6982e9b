import type { PastLoad } from '../effort/past.js';
import type { Person } from '../mechanics/capacity.js';
import type { RecordedCaution } from '../model/athlete.js';
import type { Method } from '../model/method.js';
import type { MovementLookup } from '../model/movement.js';
import { endOf, inDayOrder, mondayOf, type PlannedDay, type Programme, type ProgrammeWeek, weekIndexOf } from '../model/programme.js'; // prettier-ignore
import type { Sequence } from '../model/sequence.js';
import { SEVERITIES } from '../rules/checks/finding.js';
import { addDays } from '../vocabulary/days.js';
import { type GroupDoses, type MuscleGroup, partsOf, type SideGroup } from '../vocabulary/muscles.js';
import type { Equipment } from '../vocabulary/places.js';
import { matchDone, type DoneDay, type SessionState } from './done-days.js';
import type { ProgrammeFinding } from './finding.js';
import { PROGRAMME_RULES } from './rules/index.js';
import { type SessionLoad, sessionLoad } from './session-load.js';
import { type PlanSequences, sequencesOn } from './session-plan.js';

/** What somebody carried out on a day, wherever it was planned. */
export interface DayLoad extends Pick<PastLoad, 'doses' | 'hard'> {
  readonly day: string;
}

/** What a programme is examined for. */
export interface ProgrammeQuestion {
  readonly programme: Programme;
  readonly sequences: PlanSequences;
  readonly lookup: MovementLookup;
  readonly person: Person;
  readonly method: Method;
  /** What is on record of an athlete; null for anybody. */
  readonly athlete: { readonly cautions: readonly RecordedCaution[]; readonly equipment: readonly Equipment[] } | null;
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

/** A programme with all that is computed of it. */
export interface ProgrammeView extends ProgrammeQuestion {
  readonly sessions: readonly PlannedSession[];
  readonly weeks: readonly WeekView[];
  /** What was carried out and what is still planned, as one course, at noon of its days. */
  readonly course: readonly PastLoad[];
  /** The gravest first, then by day. */
  readonly findings: readonly ProgrammeFinding[];
}

/** Days are compared as days: noon stands for all of one. */
export const noonOf = (day: string) => `${day}T12:00:00.000Z`;
/** A load as one of a day. */
export const onDay = ({ day, doses, hard }: DayLoad): PastLoad => ({
  startedAt: noonOf(day),
  endedAt: noonOf(day),
  doses,
  hard,
});

/** What a course comes to from one day to another, both counted. */
export function dosesBetween(course: readonly PastLoad[], fromDay: string, toDay: string): GroupDoses {
  const [from, to] = [noonOf(fromDay), noonOf(toDay)];
  const sums: Partial<Record<MuscleGroup, number>> = {};
  for (const { startedAt, doses } of course) {
    if (startedAt < from || startedAt > to) continue;
    for (const key in doses) {
      const { group } = partsOf(key as SideGroup);
      sums[group] = (sums[group] ?? 0) + (doses[key as SideGroup] ?? 0);
    }
  }
  return sums;
}

/** Whether a session loads the hands of its plan in this week still. */
export const isAhead = ({ state }: Pick<PlannedSession, 'state'>) => state === 'planned' || state === 'due';

/** Computes a programme: every session as it would be on its day, every week’s sums, and what the rules say. @throws SequenceError when a plan is not sound */
export function evaluateProgramme(question: ProgrammeQuestion): ProgrammeView {
  const { programme, past, done, today } = question;
  const stateOf = matchDone(programme, done, today);
  const sequenceOf = sequencesOn(programme, question.lookup);
  const sessions = inDayOrder(programme.sessions).map((session): PlannedSession => ({
    ...session,
    weekIndex: weekIndexOf(programme, session.day),
    state: stateOf(session),
    ...planned(question, session, sequenceOf),
  }));
  const ahead = sessions.filter(isAhead).flatMap(({ day, load }) => (load ? [onDay({ ...load, day })] : []));
  const course = [...past.map(onDay), ...ahead].sort((a, b) => a.startedAt.localeCompare(b.startedAt));
  const monday = mondayOf(programme.fromDay);
  const weeks = programme.weeks.map((week, index): WeekView => {
    const from = addDays(monday, 7 * index);
    const mine = sessions.filter(({ weekIndex }) => weekIndex === index);
    const doses = dosesBetween(course, from, addDays(from, 6));
    const durationMs = mine.reduce(
      (sum, { load, state }) => sum + (state === 'missed' ? 0 : (load?.durationMs ?? 0)),
      0,
    );
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

function findingsOf(view: Omit<ProgrammeView, 'findings'>): ProgrammeFinding[] {
  return PROGRAMME_RULES.flatMap((rule) =>
    rule
      .find(view)
      .map((found): ProgrammeFinding => ({ ...found, rule: rule.id, title: rule.title, severity: rule.severity })),
  ).sort((a, b) => SEVERITIES.indexOf(a.severity) - SEVERITIES.indexOf(b.severity) || a.day.localeCompare(b.day));
}

/** The last day of a programme. */
export const lastDayOf = (programme: Programme): string => addDays(endOf(programme), -1);
