import {
  type Block,
  doneOf,
  itemAt,
  lastOf,
  type Playhead,
  type Sequence,
  type Stint,
  type Timeline,
  type WorkingSide,
  WORK,
} from '@clay-pot/core';
import type { BlockReportRow, ComplaintRow, DoneSetRow, FormTickRow } from '../../sessions/session.entities.js';
import type { PersonPlan } from './people.js';
import type { Rater } from './rater.js';
import { SeededRandom } from './random.js';

/** Whose history is invented, and by which course. */
export interface DemoContext {
  readonly studioId: string;
  readonly athleteId: string;
  readonly sequenceId: string;
  readonly sequence: Sequence;
  readonly weekdays: readonly number[];
  readonly course: PersonPlan;
  /** ISO day; the history ends the day before. */
  readonly today: string;
  /** How hard each block is rated. */
  readonly rate: Rater;
  /** The instant of a local time on a day. */
  readonly at: (day: string, minutesAfterMidnight: number) => Date;
}

/** One session as it went, before it becomes rows. */
export interface DemoSession {
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

/** What was done of it, set by set. */
export function setsOf(session: DemoSession, { studioId, course }: DemoContext, random: SeededRandom): DoneSetRow[] {
  const { id: sessionId, plan, timeline, reached, instant } = session;
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

/** How long after a block its report is given. */
const REPORTED_AFTER_MS = 4000;

/** How each block that was reached was rated. */
export function reportsOf(session: DemoSession, { studioId, course, rate }: DemoContext, random: SeededRandom): BlockReportRow[] {
  const { id: sessionId, plan, timeline, reached, flare, instant } = session;
  const blocksDone = new Set(reached.map(({ blockId }) => blockId));
  return [...plan.blocks.entries()].flatMap(([index, block]) => {
    if (!blocksDone.has(block.id)) return [];
    const loads = WORK.includes(block.phase);
    const discomfort = discomfortIn(block, loads, session, course, random);
    const usual = loads ? random.between(4, 7) : random.between(1, 3);
    const exertion = Math.min(10, (rate(plan, block.id) ?? usual) + (flare ? 1 : 0));
    const at = instant(itemAt(timeline.blocks, index).endMs + REPORTED_AFTER_MS);
    const note = flare && discomfort >= 5 ? 'Sore at the back of the wrist, eased off.' : '';
    return [{ id: random.id(at), studioId, sessionId, blockId: block.id, discomfort, exertion, note, bandPercent: null, at }];
  });
}

/** So long after a block it is ticked what was seen while it was done. */
const TICKED_AFTER_MS = 2000;
const WEEK_MS = 7 * 24 * 3_600_000;

/** What the coach watched for and saw, while it was new: in the sessions of some weeks, and in the last one where the course says so. */
export function formOf(session: DemoSession, { studioId, course, today }: DemoContext): FormTickRow[] {
  const { id: sessionId, plan, timeline, reached, isLast, instant } = session;
  const { faults } = course;
  if (!faults) return [];
  return [...plan.blocks.entries()].flatMap(([index, { id: blockId, movementId }]) => {
    const at = instant(itemAt(timeline.blocks, index).endMs + TICKED_AFTER_MS);
    const weeksAgo = (Date.parse(today) - at.getTime()) / WEEK_MS;
    const isSeen =
      movementId === faults.movementId &&
      reached.some((stint) => stint.blockId === blockId) &&
      (weeksAgo > faults.untilWeeksAgo || (isLast && faults.atLast));
    const { hand, fault } = faults;
    return isSeen ? [{ id: new SeededRandom(at.getTime()).id(at), studioId, sessionId, blockId, hand, fault, seen: true, at }] : [];
  });
}

/** In a flare-up: what hurt in the middle of the last block that was reached. */
export function complaintsOf(
  { id, reached, flare, instant }: DemoSession,
  { studioId, course }: DemoContext,
  random: SeededRandom,
): ComplaintRow[] {
  if (!flare) return [];
  const { blockId, endMs } = lastOf(reached);
  const at = instant(endMs);
  const what = { hand: course.weakSide ?? 'both', place: 'wrist-back', discomfort: 5 } as const;
  return [{ id: random.id(at), studioId, sessionId: id, blockId, ...what, at }];
}

/** What somebody usually feels and now and then a little more or less; in a flare-up much more; at last what the course says. */
function discomfortIn(block: Block, loads: boolean, { flare, isLast }: DemoSession, course: PersonPlan, random: SeededRandom): number {
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
function fallShort(amount: number, side: WorkingSide, stint: Stint, course: PersonPlan, random: SeededRandom): number {
  const weak = side === course.weakSide;
  if (!random.chance(weak ? 0.35 : 0.04)) return amount;
  const share = stint.unit === 'seconds' ? 0.2 : 0.15;
  return Math.max(1, amount - Math.max(1, Math.round(amount * share * (0.5 + random.next()))));
}
