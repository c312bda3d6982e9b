import {
  addDays,
  type Block,
  compileTimeline,
  doneOf,
  itemAt,
  lastOf,
  type Playhead,
  type Sequence,
  type Stint,
  type Timeline,
  weekdayOf,
  type WorkingSide,
} from '@clay-pot/core';
import { methodOf, shippedMethod, shippedMovement } from '@clay-pot/core/library';
import { sumsOfSession } from '../../sessions/session-sums.js';
import type {
  BlockReportRow,
  ComplaintRow,
  DoneSetRow,
  FormTickRow,
  SessionRow,
} from '../../sessions/session.entities.js';
import type { Course } from './people.js';
import type { Rater } from './rater.js';
import { SeededRandom } from './random.js';
import { earlierForm } from './sequences.js';

/** Weeks at the start in which the sequence was still in its shorter form. */
const EARLY_WEEKS = 3;

/** What somebody did, as rows. */
export interface History {
  readonly sessions: SessionRow[];
  readonly sets: DoneSetRow[];
  readonly reports: BlockReportRow[];
  readonly complaints: ComplaintRow[];
  readonly form: FormTickRow[];
}

/** Whose history is told, and by which course. */
export interface Telling {
  readonly studioId: string;
  readonly athleteId: string;
  readonly sequenceId: string;
  readonly sequence: Sequence;
  readonly weekdays: readonly number[];
  readonly course: Course;
  /** ISO day; the history ends the day before. */
  readonly today: string;
  /** How hard each block is rated. */
  readonly rate: Rater;
  /** The instant of a local time on a day. */
  readonly at: (day: string, minutesAfterMidnight: number) => Date;
}

/** Tells one athlete's weeks up to yesterday: planned days, misses, sides that fall short, a flare-up, and how it felt. */
export function tellHistory(telling: Telling, random: SeededRandom): History {
  const { course, today, weekdays } = telling;
  const history: History = { sessions: [], sets: [], reports: [], complaints: [], form: [] };
  const days = Array.from({ length: course.weeks * 7 }, (_, index) => addDays(today, index - course.weeks * 7));
  const planned = days.filter((day) => weekdays.includes(weekdayOf(day)) && !random.chance(course.missChance));
  planned.forEach((day, index) => {
    const weeksAgo = (Date.parse(today) - Date.parse(day)) / (7 * 24 * 3600 * 1000);
    tellSession(telling, day, weeksAgo, index === planned.length - 1, history, random);
  });
  return history;
}

/** One session as it went, before it becomes rows. */
interface Told {
  readonly id: string;
  readonly plan: Sequence;
  readonly timeline: Timeline;
  /** What was reached of it. */
  readonly reached: readonly Stint[];
  readonly flare: boolean;
  readonly isLast: boolean;
  /** The instant of a place in the timeline: sessions take a little longer than planned. */
  readonly instant: (ms: number) => Date;
}

function tellSession(
  telling: Telling,
  day: string,
  weeksAgo: number,
  isLast: boolean,
  history: History,
  random: SeededRandom,
): void {
  const { studioId, athleteId, sequenceId, course } = telling;
  const plan = weeksAgo > course.weeks - EARLY_WEEKS ? earlierForm(telling.sequence) : telling.sequence;
  const timeline = compileTimeline(plan, shippedMovement);
  const startedAt = telling.at(day, 17 * 60 + random.between(0, 120));
  const id = random.id(startedAt);
  const flare = course.flareWeeksAgo !== undefined && Math.abs(weeksAgo - course.flareWeeksAgo) < 0.5;
  const endsEarly = flare || (!isLast && random.chance(0.05));
  const stintsDone = endsEarly
    ? Math.ceil(timeline.stints.length * (0.55 + random.next() * 0.3))
    : timeline.stints.length;
  const reached = timeline.stints.slice(0, stintsDone);
  const stretch = 1.02 + random.next() * 0.08;
  const instant = (ms: number) => new Date(startedAt.getTime() + Math.round(ms * stretch));
  const told: Told = { id, plan, timeline, reached, flare, isLast, instant };
  const sets = setsOf(told, telling, random);
  const reports = reportsOf(told, telling, random);
  const complaints = complaintsOf(told, telling, random);
  history.sets.push(...sets);
  history.complaints.push(...complaints);
  history.form.push(...formOf(told, telling));
  history.reports.push(...reports);
  const endedAt = instant(lastOf(reached).endMs + 20_000);
  const sums = sumsOfSession(plan, { sets, reports, complaints, exertion: null }, shippedMovement);
  history.sessions.push({
    id,
    studioId,
    athleteId,
    sequenceId,
    plan,
    startedAt,
    endedAt,
    ending: endsEarly ? 'ended early' : 'completed',
    stopSign: null,
    stopHand: null,
    toldExertion: null,
    revision: 0,
    note: flare ? 'Ended early because of the wrist. Unloaded for two days.' : '',
    ...sums,
    ...morningAfter(history, athleteId, {
      endedAt,
      flare,
      isAsked: weeksAgo * DAYS_A_WEEK > UNTOLD_DAYS,
      felt: sums.maxDiscomfort ?? 0,
    }),
    discomfortPolicy: methodOf(plan, shippedMethod).discomfort,
    begunAgainst: [],
  });
}

/** Mornings of the last days are not told of yet. */
const UNTOLD_DAYS = 3;
const DAYS_A_WEEK = 7;
const NEXT_MORNING_MS = 14 * 3_600_000;

interface After {
  readonly endedAt: Date;
  readonly flare: boolean;
  readonly isAsked: boolean;
  /** The most discomfort of the session. */
  readonly felt: number;
}

/** The morning after, by what was felt: half of it is left, more after a flare-up. */
function morningAfter(
  history: History,
  athleteId: string,
  { endedAt, flare, isAsked, felt }: After,
): Pick<SessionRow, 'morning' | 'morningBefore'> {
  if (!isAsked) return { morning: null, morningBefore: null };
  const before = history.sessions.findLast((session) => session.athleteId === athleteId && session.morning)?.morning;
  const left = Math.floor(felt / 2) + (flare ? 2 : 0);
  const morning = {
    left,
    right: Math.floor(felt / 3),
    at: new Date(endedAt.getTime() + NEXT_MORNING_MS).toISOString(),
  };
  return { morning, morningBefore: before ? { left: before.left, right: before.right } : null };
}

function setsOf(told: Told, { studioId, course }: Telling, random: SeededRandom): DoneSetRow[] {
  const { id: sessionId, plan, timeline, reached, instant } = told;
  return reached.flatMap((stint) =>
    doneOf(timeline, stint, atEnd(timeline, stint)).map(({ side, amount }) => {
      const endedAt = instant(stint.endMs);
      const { blockId, levelId, round, set, direction, unit, plannedAmount } = stint;
      const { movementId } = itemAt(plan.blocks, stint.blockIndex);
      const doneAmount = fallShort(amount, side, stint, course, random);
      const piece = { blockId, movementId, levelId, round, set, side, direction, unit, plannedAmount };
      const what = { studioId, sessionId, ...piece };
      return { id: random.id(endedAt), ...what, doneAmount, endedAt, corrects: null };
    }),
  );
}

const LOADING_PHASES: readonly string[] = ['load', 'strength', 'skill'];
/** How long after a block its report is given. */
const REPORTED_AFTER_MS = 4000;

function reportsOf(told: Told, { studioId, course, rate }: Telling, random: SeededRandom): BlockReportRow[] {
  const { id: sessionId, plan, timeline, reached, flare, instant } = told;
  const blocksDone = new Set(reached.map(({ blockId }) => blockId));
  return [...plan.blocks.entries()].flatMap(([index, block]) => {
    if (!blocksDone.has(block.id)) return [];
    const loads = LOADING_PHASES.includes(block.phase);
    const discomfort = discomfortIn(block, loads, told, course, random);
    const usual = loads ? random.between(4, 7) : random.between(1, 3);
    const exertion = Math.min(10, (rate(plan, block.id) ?? usual) + (flare ? 1 : 0));
    const at = instant(itemAt(timeline.blocks, index).endMs + REPORTED_AFTER_MS);
    const note = flare && discomfort >= 5 ? 'Sore at the back of the wrist, eased off.' : '';
    return [
      { id: random.id(at), studioId, sessionId, blockId: block.id, discomfort, exertion, note, bandPercent: null, at },
    ];
  });
}

/** So long after a block it is ticked what was seen while it was done. */
const TICKED_AFTER_MS = 2000;
/** What the coach watched for and saw, while it was new: in the sessions of some weeks, and in the last one where the course says so. */
function formOf(told: Told, { studioId, course, today }: Telling): FormTickRow[] {
  const { id: sessionId, plan, timeline, reached, isLast, instant } = told;
  const { faults } = course;
  if (!faults) return [];
  return [...plan.blocks.entries()].flatMap(([index, { id: blockId, movementId }]) => {
    const at = instant(itemAt(timeline.blocks, index).endMs + TICKED_AFTER_MS);
    const weeksAgo = (Date.parse(today) - at.getTime()) / (DAYS_A_WEEK * 24 * 3_600_000);
    const isSeen = movementId === faults.movementId && reached.some((stint) => stint.blockId === blockId) && (weeksAgo > faults.untilWeeksAgo || (isLast && faults.atLast)); // prettier-ignore
    const { hand, fault } = faults;
    return isSeen ? [{ id: new SeededRandom(at.getTime()).id(at), studioId, sessionId, blockId, hand, fault, seen: true, at }] : []; // prettier-ignore
  });
}

/** In a flare-up: what hurt in the middle of the last block that was reached. */
function complaintsOf(
  { id, reached, flare, instant }: Told,
  { studioId, course }: Telling,
  random: SeededRandom,
): ComplaintRow[] {
  if (!flare) return [];
  const { blockId, endMs } = lastOf(reached);
  const at = instant(endMs);
  const what = { hand: course.weakSide ?? 'both', place: 'wrist-back', discomfort: 5 } as const;
  return [{ id: random.id(at), studioId, sessionId: id, blockId, ...what, at }];
}

/** What somebody usually feels and now and then a little more or less; in a flare-up much more; at last what the course says. */
function discomfortIn(
  block: Block,
  loads: boolean,
  { flare, isLast }: Told,
  course: Course,
  random: SeededRandom,
): number {
  const usual = loads ? course.discomfort : Math.max(0, course.discomfort - 1);
  const felt = Math.max(0, usual + (random.chance(0.06) ? 1 : random.chance(0.5) ? -1 : 0));
  if (flare && loads) return random.between(4, 6);
  if (!isLast) return Math.min(felt, 4);
  if (course.lastDiscomfort === undefined) return Math.min(felt, 2);
  return block.phase === 'strength' ? course.lastDiscomfort : Math.min(felt, course.lastDiscomfort);
}

/** The playhead at a bout's end, so that the full amount comes from the same rule as in a led session. */
function atEnd(timeline: Timeline, stint: Stint): Playhead {
  return { event: stint.lastEvent, elapsedMs: itemAt(timeline.events, stint.lastEvent).durationMs, addedMs: 0 };
}

/** Mostly all of it; now and then less, more often so on the weaker side in later sets. */
function fallShort(amount: number, side: WorkingSide, stint: Stint, course: Course, random: SeededRandom): number {
  const weak = side === course.weakSide;
  if (!random.chance(weak ? 0.35 : 0.04)) return amount;
  const share = stint.unit === 'seconds' ? 0.2 : 0.15;
  return Math.max(1, amount - Math.max(1, Math.round(amount * share * (0.5 + random.next()))));
}
