import { mondayOf, type Programme } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { addDays, weekdayOf } from '../vocabulary/days.js';
import type { GroupDoses } from '../vocabulary/muscles.js';
import { amountLoads } from './amount-loads.js';
import type { DayLoad } from './done-days.js';
import { editProgramme } from './edits.js';
import { evaluateProgramme } from './evaluate.js';
import type { ProgrammeFinding } from './finding.js';
import { risingWeeks } from './rising-weeks.js';
import { hardSpacingDays, LIGHTER_PLAN, LOADING_PLAN, scheduled, type ScheduleWish } from './schedule.js';
import { dosesBetween, loadOn, type ProgrammeQuestion } from './seen.js';
import { sessionLoad } from './session-load.js';
import { tapered } from './tapered.js';

/** What a new programme is made from: whom for, by which method, with which sequences on which days. */
export interface NewProgramme extends Omit<ProgrammeQuestion, 'programme'> {
  readonly head: Pick<Programme, 'title' | 'goalId' | 'methodId' | 'plans'>;
  readonly wish: ScheduleWish;
}

/** Weeks before a programme that say where somebody stands. */
const WEEKS_BEFORE = 3;
/** So many findings are mended at most. */
const MOST_MENDS = 40;

/** Days from one hard session to the next that a loading sequence asks for; one where none of its work is hard. @throws SequenceError when it is not sound */
export function spacingOf(loading: Sequence, { person, lookup, method }: Pick<ProgrammeQuestion, 'person' | 'lookup' | 'method'>): number {
  return sessionLoad(person, loading, lookup).hard.length > 0 ? hardSpacingDays(method) : 1;
}

/**
 * A programme of sequences over weeks: hard days apart, building weeks that rise from where somebody stands, easier ones between, a taper to the event at about half
 * of the fullest week. What the rules still find is mended where they know how. @throws SequenceError when a plan is not sound
 */
export function newProgramme(question: NewProgramme): Programme {
  const { head, wish, ...context } = question;
  const { sequences, method } = context;
  const loading = sequences.get(LOADING_PLAN);
  const spacingDays = loading ? spacingOf(loading, context) : 1;
  const { fromDay, event } = wish;
  const made: Programme = {
    ...head,
    fromDay,
    ...scheduled(wish, { spacingDays, hasLighter: sequences.has(LIGHTER_PLAN) }),
    ...(event && { event }),
  };
  const loads = amountLoads(made, context);
  const { weeks, peak } = risingWeeks({ programme: made, loads, method, before: pastWeeks(context.past, fromDay) });
  const programme = tapered({ programme: { ...made, weeks: [...weeks] }, wish, loads, method, peak });
  return mended(used(programme), context, wish.weekdays);
}

/** What was done in the weeks before a day’s, the latest first. */
export function pastWeeks(past: readonly DayLoad[], fromDay: string): GroupDoses[] {
  const monday = mondayOf(fromDay);
  const loads = past.map(loadOn);
  return Array.from({ length: WEEKS_BEFORE }, (_, index) => {
    const from = addDays(monday, -7 * (index + 1));
    return dosesBetween(loads, from, addDays(from, 6));
  });
}

/** Without plans of which no session is left. */
const used = (programme: Programme): Programme => ({
  ...programme,
  plans: programme.plans.filter(({ id }) => programme.sessions.some(({ planId }) => planId === id)),
});

/** What a rule finds in a fresh programme is mended by its own fix, one after the other, where less is found then. */
export function mended(programme: Programme, context: Omit<ProgrammeQuestion, 'programme'>, weekdays: readonly number[]): Programme {
  const isOnDays = ({ sessions }: Programme) => sessions.every(({ day }) => weekdays.includes(weekdayOf(day)));
  let now = programme;
  for (let times = 0; times < MOST_MENDS; times++) {
    const { findings } = evaluateProgramme({ ...context, programme: now });
    const next =
      findings
        .flatMap(({ fix }) => (fix ? [editProgramme(now, fix.edits)] : []))
        .find((after) => isOnDays(after) && evaluateProgramme({ ...context, programme: after }).findings.length < findings.length) ??
      withoutOne(now, findings, context);
    if (!next) break;
    now = next;
  }
  return now;
}

/** Without a session that a rule objects to, where nothing else helps: on the weekdays that there are is no other day for it. */
function withoutOne(
  programme: Programme,
  findings: readonly ProgrammeFinding[],
  context: Omit<ProgrammeQuestion, 'programme'>,
): Programme | undefined {
  return findings
    .filter(({ fix }) => fix?.edits.some(({ kind }) => kind === 'move'))
    .map(({ sessionIds: [sessionId = ''] }) => editProgramme(programme, [{ kind: 'remove', sessionId }]))
    .find((after) => evaluateProgramme({ ...context, programme: after }).findings.length < findings.length);
}
