import type { Hand, WorkingSide } from '../vocabulary/hands.js';
import type { LookStop } from '../vocabulary/rechecks.js';
import type { Block } from '../model/sequence.js';
import type { Phase } from '../vocabulary/phases.js';
import type { OpenEnd, SetUnit } from '../vocabulary/work.js';
import { type Equipment, PLACE_OF, type Posture } from '../vocabulary/places.js';
import { working } from '../vocabulary/constant.js';

/**
 * What happens at a moment. Repetitions, holds, bouts and breaths are *work*; the others lead to it or rest from it.
 * A `hold` is still, a `bout` moves for time. `round-rest` lies between two rounds, a `break` between groups of movements; at a `look` hands are compared.
 */
export type EventKind =
  | 'ready'
  | 'break'
  | 'round-rest'
  | 'announce'
  | 'position'
  | 'change-sides'
  | 'change-direction'
  | 'repetition'
  | 'hold'
  | 'bout'
  | 'breath'
  | 'rest'
  | 'look';

/** A stretch of one event: the strokes of a repetition, the halves of a breath. */
export interface EventPart {
  readonly name: 'out' | 'hold' | 'back' | 'pause' | 'in' | 'work';
  /** What to say aloud, from the movement: “lift”, “lower”, “breathe in”. */
  readonly label: string;
  readonly durationMs: number;
}

/**
 * One thing on the clock. Times are whole milliseconds, so that sums are exact. What is not work (a rest, a change of sides)
 * carries the set, side and direction of the work that it leads to.
 */
export interface TimelineEvent {
  readonly kind: EventKind;
  readonly startMs: number;
  readonly durationMs: number;
  readonly parts: readonly EventPart[];
  /** One repetition of what is repeated for a time: it goes on until the event is over. */
  readonly beat?: readonly EventPart[];
  /** What a repetition goes through, called one by one at even times. */
  readonly calls?: readonly string[];
  readonly blockIndex: number;
  readonly blockId: string;
  /** Index into `Timeline.bouts` for work, null otherwise. */
  readonly stint: number | null;
  readonly side: WorkingSide;
  /** Name of the direction or position worked in, if the movement has any. */
  readonly direction: string | null;
  /** 1-based round, set, and repetition or breath within the stint. */
  readonly round: number;
  readonly set: number;
  readonly repetition: number | null;
  /** Whether it lasts until somebody says that it is over: a distance that was walked, hands that were compared. */
  readonly untilConfirmed: boolean;
  /** Whether it is part of an open set: it may end before it is over. */
  readonly open: boolean;
  /** Which look it is, of a `look`. */
  readonly look?: LookStop;
}

/**
 * The smallest piece of work that is recorded: one set of one block, for one hand (or both) in one direction.
 * With alternating hands one stint holds both hands' repetitions.
 */
export interface Stint {
  readonly index: number;
  readonly blockIndex: number;
  readonly blockId: string;
  /** The level that it is done at: a later round may be a rung further. */
  readonly levelId: string;
  readonly round: number;
  readonly set: number;
  readonly side: WorkingSide;
  readonly alternating: boolean;
  readonly direction: string | null;
  readonly unit: SetUnit;
  /** Per hand; of an open set its ceiling. */
  readonly plannedAmount: number;
  /** What ends an open set before its ceiling; null for one whose amount is fixed. */
  readonly open: OpenEnd | null;
  /** Whether it is of a block that is led only where time is left. */
  readonly bonus?: true;
  readonly firstEvent: number;
  readonly lastEvent: number;
  readonly startMs: number;
  readonly endMs: number;
}

/** Once through a block, from when to when. */
export interface TurnSpan {
  readonly blockIndex: number;
  readonly blockId: string;
  readonly phase: Phase;
  readonly round: number;
  readonly startMs: number;
  readonly endMs: number;
  /** Time under work, the rest being announcements, changes and rest. */
  readonly workMs: number;
}

/** A block over all of its turns: from the start of the first to the end of the last. */
export interface BlockSpan {
  readonly blockId: string;
  readonly phase: Phase;
  readonly startMs: number;
  readonly endMs: number;
  /** Length of its turns together: in rounds other blocks lie between them. */
  readonly lengthMs: number;
  readonly workMs: number;
}

/** Blocks by their turns, in the order of the sequence; a block without turns has no length. */
export function blockSpansOf(turns: readonly TurnSpan[], blocks: readonly Pick<Block, 'id' | 'phase'>[]): BlockSpan[] {
  return blocks.map(({ id, phase }, index) => {
    const mine = turns.filter(({ blockIndex }) => blockIndex === index);
    const [first, last] = [mine[0], mine.at(-1)];
    const sum = (of: (turn: TurnSpan) => number) => mine.reduce((total, turn) => total + of(turn), 0);
    const lengthMs = sum(({ startMs, endMs }) => endMs - startMs);
    const workMs = sum((turn) => turn.workMs);
    return { blockId: id, phase, startMs: first?.startMs ?? 0, endMs: last?.endMs ?? 0, lengthMs, workMs };
  });
}

/** A sequence in time: events, the pieces of work that they make, and the blocks. */
export interface Timeline {
  readonly events: readonly TimelineEvent[];
  readonly stints: readonly Stint[];
  /** In the order of the clock. */
  readonly turns: readonly TurnSpan[];
  /** In the order of the sequence. */
  readonly blocks: readonly BlockSpan[];
  readonly durationMs: number;
  /** Without bonus blocks, which are led only where time is left: what the minutes of a session are held against. */
  readonly plannedMs: number;
}

/** Events in which hands work. */
export const WORK_EVENTS: readonly EventKind[] = ['repetition', 'hold', 'bout', 'breath'];

/** What of an event is work: all of it but the pause that ends a repetition. */
export const workedMs = ({ parts, durationMs }: TimelineEvent): number =>
  durationMs - parts.reduce((sum, part) => sum + (part.name === 'pause' ? part.durationMs : 0), 0);

/** Whole milliseconds of a number of seconds given in halves or tenths. @example milliseconds(2.5) → 2500 */
export function milliseconds(seconds: number): number {
  return Math.round(seconds * 1000);
}

/** Working values, from timing a class: moving within a place, and to another one. */
export const CHANGE_WITHIN_PLACE_S = working('Change within a place', 3, 's', 'from timing a class', [2, 5]).value;
/** Seconds to another place. */
export const CHANGE_OF_PLACE_S = working('Change of place', 10, 's', 'from timing a class', [6, 15]).value;
/** Fetching what has not been used yet; from then on it is at hand. */
export const FETCH_EQUIPMENT_S = working('Getting equipment', 5, 's', 'from timing a class, equipment laid out', [3, 10]).value;
/** Between two repetitions that are each held: letting go, and taking hold again. */
export const PAUSE_AFTER_HOLD_S = working('Pause after a hold', 2, 's', 'letting go and taking hold again', [1, 4]).value;

/** To compare the hands, and to say what was seen. */
export const LOOK_S = working('Looking again', 15, 's', 'a circle or two of each hand, and a tap', [8, 30]).value;
/** The step of somebody who carries something: it turns a distance into a count of steps. */
export const STEP_M = working('Step under a load', 0.7, 'm', 'shorter than a free step', [0.55, 0.8]).value;
/** Walking on the hands, legs dragged or in a plank: slower by far than on the feet. */
export const HAND_WALK_M_PER_S = working('Pace of a walk on the hands', 0.4, 'm/s', 'two hand widths a second', [0.25, 0.6]).value;

/** What is not carried about. */
const FIXED: readonly Equipment[] = ['chair', 'table', 'wall', 'bench', 'bar', 'thick bar', 'edge'];

/** The equipment that is fixed in its place, so that people walk to it. @example fixedOf(['towel', 'wall']) → ['wall'] */
export const fixedOf = (things: readonly Equipment[]): Equipment[] => things.filter((thing) => FIXED.includes(thing));

/** Where somebody is and what they have with them, from block to block. */
export interface Whereabouts {
  readonly posture: Posture;
  /** The fixed equipment of the place. */
  readonly at: readonly Equipment[];
  /** What has been fetched already; mats lie ready. */
  readonly atHand: ReadonlySet<Equipment>;
}

/** Before the first block people stand in the room. */
export const AT_THE_START: Whereabouts = { posture: 'standing', at: [], atHand: new Set(['mat']) };

/**
 * Seconds to the next block's place with what it needs, and where one is then. A fixed bar is walked to; what was fetched once stays at hand.
 * @example moveTo(AT_THE_START, 'standing', []).seconds → 0
 */
export function moveTo(from: Whereabouts, posture: Posture, needs: readonly Equipment[]): { seconds: number; to: Whereabouts } {
  const at = fixedOf(needs);
  const walks = PLACE_OF[from.posture] !== PLACE_OF[posture] || at.some((thing) => !from.at.includes(thing));
  const changes = from.posture === posture ? 0 : CHANGE_WITHIN_PLACE_S;
  const fetched = needs.filter((thing) => !at.includes(thing) && !from.atHand.has(thing));
  const seconds = (walks ? CHANGE_OF_PLACE_S : changes) + (fetched.length > 0 ? FETCH_EQUIPMENT_S : 0);
  const atHand = fetched.length > 0 ? new Set([...from.atHand, ...fetched]) : from.atHand;
  return { seconds, to: { posture, at, atHand } };
}

/** What a timeline comes to. */
export interface TimelineSummary {
  /** Without bonus blocks. */
  readonly totalMs: number;
  readonly bonusMs: number;
  readonly workMs: number;
  readonly byPhase: Readonly<Record<Phase, number>>;
  /** Work of each hand; work of both together counts for each. */
  readonly workByHand: Readonly<Record<Hand, number>>;
}

/** Sums of a timeline for budgets and for left against right. */
export function summarise(timeline: Timeline): TimelineSummary {
  const byPhase: Record<Phase, number> = { prepare: 0, range: 0, load: 0, strength: 0, skill: 0, settle: 0 };
  for (const block of timeline.blocks) byPhase[block.phase] += block.lengthMs;
  const workByHand: Record<Hand, number> = { left: 0, right: 0 };
  for (const event of timeline.events) {
    if (event.stint === null) continue;
    const ms = workedMs(event);
    if (event.side !== 'right') workByHand.left += ms;
    if (event.side !== 'left') workByHand.right += ms;
  }
  const workMs = timeline.blocks.reduce((sum, block) => sum + block.workMs, 0);
  const { durationMs, plannedMs } = timeline;
  return { totalMs: plannedMs, bonusMs: durationMs - plannedMs, workMs, byPhase, workByHand };
}
