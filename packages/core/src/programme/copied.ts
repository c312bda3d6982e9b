import { type ForPersonQuestion, sequenceFor } from '../compose/for-person.js';
import { addDays, dayWords, WEEKDAY_NAMES, weekdayOf, WEEKDAYS } from '../vocabulary/days.js';
import { inDayOrder, mondayOf, type PlannedDay, type Programme, weekdaysOf, weekIndexOf } from '../model/programme.js';
import type { Sequence } from '../model/sequence.js';
import { WORK } from '../vocabulary/phases.js';
import { say, type Sentence } from '../vocabulary/sentence.js';
import { counted, listed } from '../vocabulary/text.js';
import { amountLoads } from './amount-loads.js';
import { evaluateProgramme } from './evaluate.js';
import type { ProgrammeFinding } from './finding.js';
import { mended, pastWeeks } from './new-programme.js';
import { risingWeeks } from './rising-weeks.js';
import { apart } from './schedule.js';
import type { ProgrammeQuestion } from './seen.js';
import { changedBy, type PlanSequences } from './session-plan.js';
import { isNearEvent } from './toward-event.js';

/** A programme of somebody, to be another’s. */
export interface CopyQuestion extends Omit<ProgrammeQuestion, 'programme' | 'sequences'> {
  readonly source: Programme;
  readonly sequences: PlanSequences;
  /** Weekdays on which the other has time; as the source has them where left out. */
  readonly weekdays?: readonly number[] | undefined;
  readonly fit: Pick<ForPersonQuestion, 'past' | 'now' | 'standings'>;
}

/** A programme as another would do it, with what is other in it. */
export interface Copied {
  /** Its plans name the source’s sequences still. */
  readonly programme: Programme;
  /** The sequences of its plans, fitted. */
  readonly sequences: PlanSequences;
  readonly differences: readonly Sentence[];
  readonly findings: readonly ProgrammeFinding[];
}

/**
 * A programme for somebody else, from today on: their levels and limits in its sequences, their days, weeks no faster than they may grow, what the rules find in it
 * mended. Null where nothing of any sequence is possible for them. @throws SequenceError when a plan is not sound
 */
export function copiedFor(question: CopyQuestion): Copied | null {
  const { source, today, weekdays, fit, sequences: from, ...context } = question;
  const fromDay = source.fromDay < today ? today : source.fromDay;
  const fittedPlans = source.plans.flatMap(({ id }) => {
    const plan = from.get(id);
    if (!plan) return [];
    const changed = changedBy(source, { planId: id, day: fromDay }, plan);
    return [{ id, title: plan.title, ...sequenceFor(changed, { ...context, ...fit }) }];
  });
  const sequences = new Map(fittedPlans.flatMap(({ id, sequence }): [string, Sequence][] => (sequence ? [[id, sequence]] : [])));
  const plans = source.plans.filter(({ id }) => sequences.has(id));
  const ahead = inDayOrder(source.sessions.filter(({ day, planId }) => day >= fromDay && sequences.has(planId)));
  if (plans.length === 0 || ahead.length === 0) return null;
  const { title, goalId, methodId, event } = source;
  const whole: Programme = {
    ...{ title, fromDay, plans },
    ...(goalId !== undefined && { goalId }),
    ...(methodId !== undefined && { methodId }),
    weeks: source.weeks.slice(weekIndexOf(source, fromDay)),
    sessions: ahead,
    ...(event && { event }),
  };
  const onDays = weekdays ? onWeekdays(whole, weekdays, sequences) : whole;
  const programme = mended(slowed({ ...context, today, sequences }, onDays), { ...context, today, sequences }, weekdays ?? WEEKDAYS);
  const { findings } = evaluateProgramme({ ...context, today, programme, sequences });
  return {
    programme,
    sequences,
    differences: [
      ...fittedPlans.flatMap(({ title: of, changes }) => changes.map((change) => say`${of}: ${change}`)),
      ...dayDifferences(whole, programme),
      ...weekDifferences(whole, programme),
    ],
    findings,
  };
}

/** Every week’s sessions on other weekdays: what loads as far apart as they allow, the rest between; what finds no day is left out. */
function onWeekdays(programme: Programme, weekdays: readonly number[], sequences: PlanSequences): Programme {
  const loads = (planId: string) => sequences.get(planId)?.blocks.some(({ phase }) => WORK.includes(phase)) ?? false;
  const monday = mondayOf(programme.fromDay);
  const sessions = programme.weeks.flatMap((_, index): PlannedDay[] => {
    const mine = programme.sessions.filter(({ day }) => weekIndexOf(programme, day) === index);
    if (mine.every(({ day }) => weekdays.includes(weekdayOf(day)))) return mine;
    const free = weekdays
      .toSorted((a, b) => a - b)
      .filter((weekday) => {
        const day = addDays(monday, 7 * index + weekday - 1);
        return day >= programme.fromDay && (!programme.event || day < programme.event.day);
      });
    const early = free.filter((weekday) => !isNearEvent(programme.event, addDays(monday, 7 * index + weekday - 1)));
    const loading = mine.filter(({ planId }) => loads(planId));
    const loadingDays = apart(early, loading.length);
    const others = free.filter((weekday) => !loadingDays.includes(weekday));
    const placed = (some: readonly PlannedDay[], on: readonly number[]) =>
      some.flatMap((session, at): PlannedDay[] => {
        const weekday = on[at];
        return weekday === undefined ? [] : [{ ...session, day: addDays(monday, 7 * index + weekday - 1) }];
      });
    return [
      ...placed(loading, loadingDays),
      ...placed(
        mine.filter(({ planId }) => !loads(planId)),
        others,
      ),
    ];
  });
  return { ...programme, sessions: inDayOrder(sessions) };
}

/** Weeks that hold no more than somebody may grow to; no more than the source’s either. */
function slowed(context: Omit<ProgrammeQuestion, 'programme'>, programme: Programme): Programme {
  const loads = amountLoads(programme, context);
  const { weeks } = risingWeeks({ programme, loads, method: context.method, before: pastWeeks(context.past, programme.fromDay) });
  return {
    ...programme,
    weeks: programme.weeks.map((week, index) => ({
      ...week,
      amountPercent: Math.min(week.amountPercent, weeks[index]?.amountPercent ?? week.amountPercent),
    })),
  };
}

function dayDifferences(before: Programme, after: Programme): Sentence[] {
  const names = (programme: Programme) => listed(weekdaysOf(programme).map((weekday) => WEEKDAY_NAMES[weekday - 1] ?? ''));
  const fewer = before.sessions.length - after.sessions.length;
  return [
    ...(names(before) === names(after) ? [] : [say`Trains on ${names(after)} instead of ${names(before)}`]),
    ...(fewer > 0 ? [say`${counted(fewer, 'session')} fewer: there is no day for ${fewer === 1 ? 'it' : 'them'}`] : []),
  ];
}

/** Weeks one after the other that hold another amount, in one sentence. */
function weekDifferences(before: Programme, after: Programme): Sentence[] {
  const runs: number[][] = [];
  after.weeks.forEach(({ amountPercent }, index) => {
    if (before.weeks[index]?.amountPercent === amountPercent) return;
    const run = runs.at(-1);
    if (run?.at(-1) === index - 1) run.push(index);
    else runs.push([index]);
  });
  return runs.map((run) => {
    const amounts = ({ weeks }: Programme) => listed(run.map((index) => String(weeks[index]?.amountPercent ?? 0)));
    const monday = dayWords(addDays(mondayOf(after.fromDay), 7 * (run[0] ?? 0)));
    return run.length === 1
      ? say`Week of ${monday}: ${amounts(after)} % instead of ${amounts(before)} %`
      : say`Weeks from ${monday}: ${amounts(after)} % instead of ${amounts(before)} %`;
  });
}
