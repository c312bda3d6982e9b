import { capacityLeft, enduranceDoseOf, failsAt, holdTimeS, RESTED, step, type Units } from './compartments.js';
import type { EffortSpan, EffortTimeline } from './effort-timeline.js';
import { type Rates, ratesOf } from './rates.js';
import { percent } from '../vocabulary/numbers.js';
import { partsOf, type SideGroup } from '../vocabulary/muscles.js';

/** What is left of a group's capacity at a moment: 1 rested. */
export interface CapacityPoint {
  readonly atMs: number;
  readonly left: number;
}

/** Where a target cannot be held any longer. */
export interface Failure {
  readonly blockId: string;
  readonly atMs: number;
  /** How long the work had gone on, and how long it should have. */
  readonly heldS: number;
  readonly neededS: number;
  /** What the work asks for, as a share of the most; from here on no more than that is left. */
  readonly asks: number;
  /** Rest before this work with which it could be held, whole seconds; null when no rest of ten minutes is enough. */
  readonly restS: number | null;
}

/**
 * Why a group cannot hold its work, said after its name: how long it goes, what is left by then beside what is asked, and what would mend it.
 * @example failureWords({ blockId: 'b', atMs: 0, heldS: 12, neededS: 30, asks: 0.62, restS: 40 }) → 'tire out after 12 of 30 s: only 62 % of their strength is left then, and the work needs all of it. Add 40 s of rest before.'
 */
export function failureWords({ heldS, neededS, asks, restS }: Failure): string {
  if (asks > 1) return `need ${percent(asks)} of their maximum. Take an easier level.`;
  const mend = restS === null ? 'More rest won’t help: take an easier level or less.' : `Add ${restS} s of rest before.`;
  if (heldS === 0) return `can’t start: less strength is left than the ${percent(asks)} this work needs. ${mend}`;
  const [held, neededText] = [heldS.toFixed(0), neededS.toFixed(0)];
  const until = held === neededText ? `tire out at the very end of ${neededText} s` : `tire out after ${held} of ${neededText} s`;
  return `${until}: only ${percent(asks)} of their strength is left then, and the work needs all of it. ${mend}`;
}

/** Where an open set ends, since a group cannot go on. */
export interface GivingOut {
  readonly blockId: string;
  /** The set's stint. */
  readonly open: number;
  readonly atMs: number;
}

/** A group on a side over a session. */
export interface GroupCourse {
  readonly points: readonly CapacityPoint[];
  readonly lowest: number;
  /** Where each block that is not held first fails, in order; empty when all is held. */
  readonly failures: readonly Failure[];
  /** Where it lets go in open sets: that is how they end, and no failure. */
  readonly givesOut: readonly GivingOut[];
  /** Sum of time over endurance time: 1 is one hold to failure's worth. */
  readonly enduranceDose: number;
  readonly underLoadS: number;
  /** The state at the end: the starting point for the next session of the day, after its rest. */
  readonly end: Units;
}

/**
 * Every group that works, with its course; groups that rest throughout are not listed. With `z` it is the course of somebody that many standard deviations
 * stronger than what is believed of them: −1.28 of the weakest tenth.
 */
export function fatigueCourses(
  { spans, durationMs }: Pick<EffortTimeline, 'spans' | 'durationMs'>,
  from: ReadonlyMap<SideGroup, Units> = new Map(),
  z = 0,
): Map<SideGroup, GroupCourse> {
  return new Map(
    [...spans].map(([key, list]) => [key, courseOf(ratesOf(partsOf(key).group), asFor(list, z), durationMs, from.get(key) ?? RESTED)]),
  );
}

/** What an effort is of somebody so many standard deviations stronger, as a share of what is believed. */
const shareFor = (logSd: number, z: number) => (z === 0 ? 1 : Math.exp(-z * logSd));

/** The efforts of somebody stronger or weaker than what is believed of them. */
const asFor = (spans: readonly EffortSpan[], z: number): readonly EffortSpan[] =>
  z === 0
    ? spans
    : spans.map((span) => {
        const share = shareFor(span.logSd, z);
        return { ...span, effort: span.effort * share, charged: span.charged * share };
      });

/** What tires a group in a span: what cannot be done is not done. */
const tires = ({ effort, charged }: EffortSpan) => (effort > 1 ? 0 : charged);

/** Steps from event to event in closed form: the cost hangs on the number of events, not on their length. */
function courseOf(rates: Rates, spans: readonly EffortSpan[], durationMs: number, from: Units): GroupCourse {
  let units = from;
  let nowMs = 0;
  let [lowest, dose, loadMs] = [capacityLeft(units), 0, 0];
  const failures: Failure[] = [];
  const givesOut: GivingOut[] = [];
  const points: CapacityPoint[] = [{ atMs: 0, left: lowest }];
  const mark = (atMs: number) => {
    nowMs = atMs;
    const left = capacityLeft(units);
    lowest = Math.min(lowest, left);
    points.push({ atMs, left });
  };
  // A set asks the same again and again: what hangs on the effort alone is found once for all of its repetitions.
  let [effort, charged, fails, perSecond] = [NaN, NaN, 0, 0];
  for (const span of spans) {
    if (span.startMs > nowMs) {
      units = step(rates, units, 0, (span.startMs - nowMs) / 1000);
      mark(span.startMs);
    }
    if (span.effort !== effort || span.charged !== charged) {
      ({ effort, charged } = span);
      fails = effort > 1 ? 0 : failsAt(rates, effort);
      perSecond = enduranceDoseOf(rates, effort, 1, charged);
    }
    const seconds = (span.endMs - span.startMs) / 1000;
    const before = units;
    const goesS = goesOnS(rates, before, span, fails, givesOut.at(-1));
    units = step(rates, units, goesS > 0 ? tires(span) : 0, seconds);
    // Fatigue only grows while an effort goes on, so the ends of the span tell whether it was held throughout.
    const held = mostFatigued(units, before) < fails;
    if (goesS > 0 && goesS < seconds && span.open !== undefined) {
      units = step(rates, step(rates, before, span.charged, goesS), 0, seconds - goesS);
      givesOut.push({ blockId: span.blockId, open: span.open, atMs: span.startMs + Math.round(goesS * 1000) });
    } else if (!held && !hasLetGo(span, givesOut.at(-1)) && failures.at(-1)?.blockId !== span.blockId)
      failures.push(failureOf(rates, before, span, seconds));
    mark(span.endMs);
    dose += perSecond * goesS;
    loadMs += goesS * 1000;
  }
  if (durationMs > nowMs) {
    units = step(rates, units, 0, (durationMs - nowMs) / 1000);
    mark(durationMs);
  }
  return { points, lowest, failures, givesOut, enduranceDose: dose, underLoadS: loadMs / 1000, end: units };
}

const hasLetGo = ({ open }: EffortSpan, last: GivingOut | undefined): boolean => open !== undefined && open === last?.open;

/** How long a span is worked: to its end, unless it is part of an open set that ends before it, or has ended. */
function goesOnS(rates: Rates, before: Units, span: EffortSpan, fails: number, last: GivingOut | undefined): number {
  const seconds = (span.endMs - span.startMs) / 1000;
  if (span.open === undefined) return seconds;
  if (hasLetGo(span, last)) return 0;
  const isHeld = mostFatigued(step(rates, before, tires(span), seconds), before) < fails;
  return isHeld ? seconds : heldS(rates, before, span, seconds);
}

/** How long a span goes before it cannot be held; nothing where it asks for more than there is. */
const heldS = (rates: Rates, before: Units, { effort, charged }: EffortSpan, seconds: number): number =>
  effort > 1 ? 0 : (holdTimeS(rates, before, effort, seconds, charged) ?? seconds);

const mostFatigued = (units: Units, before: Units) => Math.max(units.fatigued, before.fatigued);

/** The blocks of one group that are not held by somebody so much stronger or weaker. */
export function blocksFailing(rates: Rates, spans: readonly EffortSpan[], from: Units = RESTED, z = 0): ReadonlySet<string> {
  const failing = new Set<string>();
  let units = from;
  let nowMs = 0;
  let [needed, spread, share, fails] = [NaN, NaN, 1, 0];
  for (const { blockId, startMs, endMs, effort, charged, logSd, open } of spans) {
    if (startMs > nowMs) units = step(rates, units, 0, (startMs - nowMs) / 1000);
    if (effort !== needed || logSd !== spread) {
      [needed, spread] = [effort, logSd];
      share = shareFor(logSd, z);
      fails = effort * share > 1 ? 0 : failsAt(rates, effort * share);
    }
    const before = units;
    units = step(rates, units, effort * share > 1 ? 0 : charged * share, (endMs - startMs) / 1000);
    if (mostFatigued(units, before) >= fails) {
      // Letting go ends an open set; what cannot be begun at all is not one.
      if (open === undefined || mostFatigued(before, before) >= fails) failing.add(blockId);
      else units = before;
    }
    nowMs = endMs;
  }
  return failing;
}

const MOST_REST_S = 600;

function failureOf(rates: Rates, before: Units, span: EffortSpan, seconds: number): Failure {
  const { blockId, startMs, effort } = span;
  const forS = heldS(rates, before, span, seconds);
  const atMs = startMs + Math.round(forS * 1000);
  return { blockId, atMs, heldS: forS, neededS: seconds, asks: effort, restS: restFor(rates, before, span, seconds) };
}

/** The shortest rest before a piece of work after which it can be held, by halving; rest only ever helps. */
function restFor(rates: Rates, before: Units, { effort, charged }: EffortSpan, seconds: number): number | null {
  if (effort > 1) return null;
  const held = (restS: number) => holdTimeS(rates, step(rates, before, 0, restS), effort, seconds, charged) === null;
  if (!held(MOST_REST_S)) return null;
  let [low, high] = [0, MOST_REST_S];
  while (high - low > 0.5) {
    const middle = (low + high) / 2;
    if (held(middle)) high = middle;
    else low = middle;
  }
  return Math.ceil(high);
}
