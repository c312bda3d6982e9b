import { addDays, compileTimeline, lastOf, type Sequence, type Timeline, weekdayOf } from '@clay-pot/core';
import { methodOf, shippedMethod, shippedMovement } from '@clay-pot/core/library';
import { sumsOfSession } from '../../sessions/session-sums.js';
import type { BlockReportRow, ComplaintRow, DoneSetRow, FormTickRow, SessionRow } from '../../sessions/session.entities.js';
import type { SeededRandom } from './random.js';
import { earlierForm } from './sequences.js';
import { complaintsOf, formOf, reportsOf, setsOf, type DemoContext, type DemoSession } from './demo-session.js';

/** Weeks at the start in which the sequence was still in its shorter form. */
const EARLY_WEEKS = 3;

/** A session with its plan, which is kept once for all that led the same. */
export type DemoSessionRow = Omit<SessionRow, 'planId'> & { readonly plan: Sequence };

/** What somebody did, as rows. */
export interface History {
  readonly sessions: DemoSessionRow[];
  readonly sets: DoneSetRow[];
  readonly reports: BlockReportRow[];
  readonly complaints: ComplaintRow[];
  readonly form: FormTickRow[];
}

/** Tells one athlete's weeks up to yesterday: planned days, misses, sides that fall short, a flare-up, and how it felt. */
export function historyOf(telling: DemoContext, random: SeededRandom): History {
  const { course, today, weekdays } = telling;
  const history: History = { sessions: [], sets: [], reports: [], complaints: [], form: [] };
  const days = Array.from({ length: course.weeks * 7 }, (_, index) => addDays(today, index - course.weeks * 7));
  const planned = days.filter((day) => weekdays.includes(weekdayOf(day)) && !random.chance(course.missChance));
  const [early, later] = [ledForm(earlierForm(telling.sequence)), ledForm(telling.sequence)];
  planned.forEach((day, index) => {
    const weeksAgo = (Date.parse(today) - Date.parse(day)) / (7 * 24 * 3600 * 1000);
    const led = weeksAgo > course.weeks - EARLY_WEEKS ? early : later;
    sessionOn(telling, led, day, weeksAgo, index === planned.length - 1, history, random);
  });
  return history;
}

/** A sequence as it is led, compiled once for all sessions of it. */
interface LedForm {
  readonly plan: Sequence;
  readonly timeline: Timeline;
}
const ledForm = (plan: Sequence): LedForm => ({ plan, timeline: compileTimeline(plan, shippedMovement) });

function sessionOn(
  telling: DemoContext,
  { plan, timeline }: LedForm,
  day: string,
  weeksAgo: number,
  isLast: boolean,
  history: History,
  random: SeededRandom,
): void {
  const { studioId, athleteId, sequenceId, course } = telling;
  const startedAt = telling.at(day, 17 * 60 + random.between(0, 120));
  const id = random.id(startedAt);
  const flare = course.flareWeeksAgo !== undefined && Math.abs(weeksAgo - course.flareWeeksAgo) < 0.5;
  const endsEarly = flare || (!isLast && random.chance(0.05));
  const stintsDone = endsEarly ? Math.ceil(timeline.stints.length * (0.55 + random.next() * 0.3)) : timeline.stints.length;
  const reached = timeline.stints.slice(0, stintsDone);
  const stretch = 1.02 + random.next() * 0.08;
  const instant = (ms: number) => new Date(startedAt.getTime() + Math.round(ms * stretch));
  const session: DemoSession = { id, plan, timeline, reached, flare, isLast, instant };
  const sets = setsOf(session, telling, random);
  const reports = reportsOf(session, telling, random);
  const complaints = complaintsOf(session, telling, random);
  history.sets.push(...sets);
  history.complaints.push(...complaints);
  history.form.push(...formOf(session, telling));
  history.reports.push(...reports);
  const endedAt = instant(lastOf(reached).endMs + 20_000);
  const sums = sumsOfSession(plan.title, timeline, { sets, reports, complaints, exertion: null });
  history.sessions.push({
    id,
    studioId,
    athleteId,
    sequenceId,
    plan,
    startedAt,
    endedAt,
    onDay: day,
    ending: endsEarly ? 'ended early' : 'completed',
    stopSign: null,
    stopHand: null,
    toldExertion: null,
    revision: 0,
    note: flare ? 'Ended early because of the wrist. Unloaded for two days.' : '',
    ...sums,
    ...morningAfter(history, athleteId, {
      endedAt,
      nextDay: addDays(day, 1),
      flare,
      isAsked: weeksAgo * DAYS_A_WEEK > UNTOLD_DAYS,
      felt: sums.maxDiscomfort ?? 0,
    }),
    discomfortPolicy: methodOf(plan, shippedMethod).discomfort,
    begunAgainst: [],
  });
}

/** The last days have no next-day checks yet. */
const UNTOLD_DAYS = 3;
const DAYS_A_WEEK = 7;
const NEXT_MORNING_MS = 14 * 3_600_000;

interface After {
  readonly endedAt: Date;
  readonly nextDay: string;
  readonly flare: boolean;
  readonly isAsked: boolean;
  /** The most discomfort of the session. */
  readonly felt: number;
}

/** The morning after, by what was felt: half of it is left, more after a flare-up. */
function morningAfter(
  history: History,
  athleteId: string,
  { endedAt, nextDay, flare, isAsked, felt }: After,
): Pick<SessionRow, 'morning' | 'morningOn' | 'morningBefore'> {
  if (!isAsked) return { morning: null, morningOn: null, morningBefore: null };
  const before = history.sessions.findLast((session) => session.athleteId === athleteId && session.morning)?.morning;
  const left = Math.floor(felt / 2) + (flare ? 2 : 0);
  const morning = {
    left,
    right: Math.floor(felt / 3),
    at: new Date(endedAt.getTime() + NEXT_MORNING_MS).toISOString(),
  };
  return { morning, morningOn: nextDay, morningBefore: before ? { left: before.left, right: before.right } : null };
}
