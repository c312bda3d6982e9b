import { step, type Units } from './compartments.js';
import { type EffortSpan, effortTimeline, type EffortTimeline } from './effort-timeline.js';
import { fatigueCourses } from './fatigue-course.js';
import { ratesOf } from './rates.js';
import { accountOf, type HandAccount } from './session-account.js';
import type { Person } from '../mechanics/capacity.js';
import type { OwnLoad } from '../model/dose.js';
import type { MovementLookup } from '../model/movement.js';
import type { Block, Sequence } from '../model/sequence.js';
import type { CountedSet } from '../model/session.js';
import { doneTimeline } from '../timeline/done-timeline.js';
import { timelineOf } from '../timeline/timeline-of.js';
import { published, working } from '../vocabulary/constant.js';
import { hoursBetween } from '../vocabulary/days.js';
import { HANDS } from '../vocabulary/hands.js';
import { MUSCLE_GROUPS, type MuscleGroup, partsOf, type SideGroup } from '../vocabulary/muscles.js';

/** From this share of the maximum tendons answer, and need their days (Bohm, Mersmann, Arampatzis 2015). */
export const HARD_PERCENT = published('Hard work', 70, '% of maximum', 'Bohm, Mersmann, Arampatzis 2015, Sports Med Open 1:7').value;
/** From this share of the maximum work of some length is spaced by days, whichever muscles do it. */
export const SPACED_PERCENT = working(
  'Hard work that is spaced by days',
  60,
  '% of maximum',
  'tendons answer from 70 % on (Bohm, Mersmann, Arampatzis 2015); muscles are sore for two days from somewhat less, extensors no less than flexors',
  [55, 70],
).value;
/** So long at such an effort, all sets of a session together, asks for days before the next. */
export const HARD_FROM = working(
  'Hard work that is spaced',
  30,
  's',
  'four or five near-maximal holds of some seconds: what finger and tendon programmes space by two days',
  [20, 60],
);

/** Seconds of a stretch of work above a share of the maximum: all of a hold, of a stroke the part of a half sine that rises above it. */
function secondsAbove({ startMs, endMs, effort, charged }: EffortSpan, share: number): number {
  if (effort < share) return 0;
  const seconds = (endMs - startMs) / 1000;
  return charged >= share ? seconds : seconds * (1 - (2 / Math.PI) * Math.asin(share / Math.min(1, effort)));
}

/** Seconds for which a group works so hard that days are spaced by it. */
export const hardSeconds = (spans: readonly EffortSpan[]): number =>
  spans.reduce((sum, span) => sum + secondsAbove(span, SPACED_PERCENT / 100), 0);

/** Groups that a session works so hard, and for so long, that the next such session is spaced. */
export function hardGroups({ spans }: Pick<EffortTimeline, 'spans'>): SideGroup[] {
  return [...spans].filter(([, list]) => hardSeconds(list) >= HARD_FROM.value).map(([key]) => key);
}

/** When a session is, and what it asks of muscles: what weeks are judged by, whether it was carried out or is planned. */
export interface PastLoad {
  /** Instants, ISO 8601 in UTC. */
  readonly startedAt: string;
  readonly endedAt: string;
  /** The studio’s calendar day that it began on, found where it was stored. */
  readonly onDay: string;
  readonly doses: Partial<Record<SideGroup, number>>;
  /** Groups that worked at or above `SPACED_PERCENT` for long enough to be spaced. */
  readonly hard: readonly SideGroup[];
}

/** What a carried-out session came to: small enough to keep many, as plain data. */
export interface PastSession extends PastLoad {
  readonly id: string;
  readonly title: string;
  /** The stored sequence that was led, where it was one. */
  readonly sequenceId?: string;
  readonly hands: { readonly left: HandAccount; readonly right: HandAccount };
  readonly movementIds: readonly string[];
  /** At which level each was done, and with what of its own: what somebody takes up again. */
  readonly forms: readonly WorkedForm[];
  /** Where its groups stood at the end. */
  readonly end: Partial<Record<SideGroup, Units>>;
}

/** A movement as it was done once. */
export interface WorkedForm {
  readonly movementId: string;
  readonly levelId: string;
  readonly load?: OwnLoad;
}

/** A session as it was carried out: its plan, and the sets that were done. */
export interface CarriedOut {
  readonly id: string;
  readonly sequenceId?: string;
  readonly startedAt: string;
  readonly endedAt: string;
  /** The studio’s calendar day that it began on, found where it was stored: no instant is cut to a day. */
  readonly onDay: string;
  readonly plan: Sequence;
  /** With the form that was taken, where it is known: an eased block was done otherwise than planned. */
  readonly sets: readonly (CountedSet & Partial<Pick<WorkedForm, 'movementId' | 'levelId'>>)[];
}

/** Sums up a session by what was done of it. @param before sessions before it: those of the same day leave their fatigue */
export function pastSession(person: Person, carried: CarriedOut, lookup: MovementLookup, before: readonly PastSession[] = []): PastSession {
  const { id, sequenceId, startedAt, endedAt, onDay, plan, sets } = carried;
  const timeline = doneTimeline(timelineOf(plan, lookup), sets);
  const efforts = effortTimeline(person, plan, timeline, lookup);
  const courses = fatigueCourses(efforts, startStates(before, startedAt));
  const { doses, hands, blocks } = accountOf(plan, timeline, efforts, lookup);
  const workedIds = blocks.filter(({ left, right }) => left.workS + right.workS > 0).map(({ blockId }) => blockId);
  const worked = plan.blocks.filter((block) => workedIds.includes(block.id));
  return {
    id,
    title: plan.title,
    ...(sequenceId !== undefined && { sequenceId }),
    startedAt,
    endedAt,
    onDay,
    doses: Object.fromEntries(doses),
    hands,
    hard: hardGroups(efforts),
    movementIds: worked.map(({ movementId }) => movementId),
    forms: worked.map((block) => formOfSets(block, sets)),
    end: Object.fromEntries([...courses].map(([key, { end }]) => [key, end])),
  };
}

/** How a block was done at last: eased to another form it has no load of its own. */
function formOfSets({ id, movementId, levelId, dose: { load } }: Block, sets: CarriedOut['sets']): WorkedForm {
  const last = sets.findLast(({ blockId }) => blockId === id);
  const form = { movementId: last?.movementId ?? movementId, levelId: last?.levelId ?? levelId };
  const asPlanned = form.movementId === movementId && form.levelId === levelId;
  return { ...form, ...(asPlanned && load && { load }) };
}

/** Sums up sessions in the order in which they were carried out. */
export function pastSessions(person: Person, all: readonly CarriedOut[], lookup: MovementLookup): PastSession[] {
  const list: PastSession[] = [];
  for (const carried of [...all].sort((a, b) => a.startedAt.localeCompare(b.startedAt))) {
    list.push(pastSession(person, carried, lookup, list));
  }
  return list;
}

/** Fatigue of the model is gone after a night; what a day's sessions leave is carried over. */
const CARRIED_OVER_H = working('Fatigue left from before', 24, 'h', 'the model’s fatigue is gone after a night', [12, 36]).value;

/** Where groups stand at an instant, after the last session of the last day and the rest since. */
export function startStates(past: readonly PastSession[], now: string): Map<SideGroup, Units> {
  const states = new Map<SideGroup, Units>();
  for (const session of past) {
    const hours = hoursBetween(session.endedAt, now);
    if (hours < 0 || hours > CARRIED_OVER_H) continue;
    // A later session began where the earlier one had left off, so it says all there is to say of its groups.
    for (const [key, units] of Object.entries(session.end) as [SideGroup, Units][]) {
      states.set(key, hours > 0 ? step(ratesOf(partsOf(key).group), units, 0, hours * 3600) : units);
    }
  }
  return states;
}

/** Doses of both hands' groups over some days before an instant. */
export function dosesWithin(past: readonly PastLoad[], now: string, fromDays: number, toDays = 0): Map<SideGroup, number> {
  return sumDoses(
    past.filter(({ startedAt }) => {
      const days = hoursBetween(startedAt, now) / 24;
      return days >= toDays && days < fromDays;
    }),
  );
}

/** What sessions come to together, group by group and side by side. */
export function sumDoses(sessions: readonly Pick<PastLoad, 'doses'>[]): Map<SideGroup, number> {
  const sums = new Map<SideGroup, number>();
  for (const { doses } of sessions) {
    for (const [key, dose] of Object.entries(doses) as [SideGroup, number][]) sums.set(key, (sums.get(key) ?? 0) + dose);
  }
  return sums;
}

/** A group's dose of both hands. */
export const ofBothHands = (doses: ReadonlyMap<SideGroup, number>, group: MuscleGroup) =>
  HANDS.reduce((sum, hand) => sum + (doses.get(`${hand} ${group}`) ?? 0), 0);

/** How the dose of a muscle group went over the last weeks. */
export interface LoadTrend {
  readonly group: MuscleGroup;
  /** Sums of both hands over the last seven days, and the mean of the three weeks before. */
  readonly weekDose: number;
  readonly usualWeekDose: number;
  /** Exponentially weighted daily means over 7 and 28 days. */
  readonly short: number;
  readonly long: number;
  /** Short over long: a prompt to look, of contested value; null when there is next to nothing. */
  readonly ratio: number | null;
  /** Outside 0.8–1.3, and the plain change of the week says so too: when the last session was alone moves the ratio. */
  readonly isWorthALook: boolean;
}

/** A week of this share of the month is steady: a prompt to look outside of it, nothing more. */
export const RATIO_BAND = [0.8, 1.3] as const;
const PLAIN_CHANGE = working('Weeks differ by', 0.2, 'of a week', 'a change within it is what weeks differ by', [0.1, 0.3]).value;
const weightOf = (days: number) => 2 / (days + 1);

/** Exponentially weighted mean of days, the latest first, by the sum of its own weights: as much every day is just that. */
export function weightedMean(daily: readonly number[], days: number): number {
  let [sum, weights, weight] = [0, 0, 1];
  for (const dose of daily) {
    sum += weight * dose;
    weights += weight;
    weight *= 1 - weightOf(days);
  }
  return sum / weights;
}

/** How the weeks go for each group that was worked in four of them. (Williams et al. 2017, Br J Sports Med 51:209–10, for the weighting.) */
export function loadTrends(past: readonly PastLoad[], now: string): LoadTrend[] {
  return MUSCLE_GROUPS.flatMap((group) => {
    const both = (doses: ReadonlyMap<SideGroup, number>) => ofBothHands(doses, group);
    const daily = Array.from({ length: 28 }, (_, index) => both(dosesWithin(past, now, index + 1, index)));
    const [short, long] = [weightedMean(daily, 7), weightedMean(daily, 28)];
    const weekDose = both(dosesWithin(past, now, 7));
    const usualWeekDose = both(dosesWithin(past, now, 28, 7)) / 3;
    if (weekDose + usualWeekDose === 0) return [];
    const ratio = long > 1e-4 ? short / long : null;
    const isOut = ratio !== null && (ratio < RATIO_BAND[0] || ratio > RATIO_BAND[1]);
    const isWorthALook = isOut && Math.abs(weekDose / usualWeekDose - 1) > PLAIN_CHANGE;
    return [{ group, weekDose, usualWeekDose, short, long, ratio, isWorthALook }];
  });
}
