import type { Sentence } from '../vocabulary/sentence.js';
import { digitsOf } from '../effort/balance.js';
import { sumsByBlock } from '../effort/block-sums.js';
import type { Direction } from '../effort/coverage.js';
import { hardSeconds } from '../effort/past.js';
import type { SessionView } from '../effort/session-view.js';
import type { Demand } from '../mechanics/demand.js';
import type { Dose } from '../model/dose.js';
import { equipmentFor, type Level, type Movement } from '../model/movement.js';
import { isFree } from '../rules/checks/block-views.js';
import { loads } from '../rules/checks/warm-up.js';
import { fixedOf } from '../timeline/timeline.js';
import type { Digit } from '../vocabulary/digits.js';
import type { Hand } from '../vocabulary/hands.js';
import { itemAt } from '../vocabulary/lists.js';
import { type MuscleGroup, partsOf } from '../vocabulary/muscles.js';
import type { Phase } from '../vocabulary/phases.js';
import { type Equipment, PLACE_OF, type Posture } from '../vocabulary/places.js';
import { countsFor, type TrainingGoal } from './goal.js';

/** Amounts by muscle group; what is not named is nothing. */
export type ByGroup = Partial<Record<MuscleGroup, number>>;

/** A movement at a level with a dose in a phase, and its requirements: what a person can be given, whatever the goal is. */
export interface Possible {
  readonly key: string;
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
  readonly phase: Phase;
  /** All its time but getting to its place. */
  readonly seconds: number;
  /** A place in the room with its fixed equipment, and the position of the body there. */
  readonly station: string;
  readonly posture: Posture;
  /** What has to be fetched for it. */
  readonly things: readonly Equipment[];
  /** What it demands of the hands; null where nobody could be so. */
  readonly demand: Demand | null;
  readonly effortPercent: number;
  readonly hard: boolean;
  readonly free: boolean;
  readonly loads: boolean;
  readonly directions: readonly Direction[];
  /** The most that each group is asked for, percent. */
  readonly groupPercent: ByGroup;
  /** Endurance doses of both hands together. */
  readonly doses: ByGroup;
  /** Seconds at which a group of the harder working hand works hard. */
  readonly hardS: ByGroup;
  /** Seconds for which a group is stretched. */
  readonly stretchS: ByGroup;
  readonly workS: Readonly<Record<Hand, number>>;
  readonly digitS: Partial<Record<Digit, number>>;
  /** Included whatever else is chosen. */
  readonly locked?: true;
  /** Sets of the weaker hand alone, on top of what both do of this movement. */
  readonly extra?: true;
}

/** A movement that this person cannot be given, and why. */
export interface Excluded {
  readonly movementId: string;
  /** A sentence with its numbers. */
  readonly why: Sentence;
}

/** What there is for a person, in teaching order, and what they cannot be given. */
export interface PossibleShelf {
  readonly possible: readonly Possible[];
  readonly excluded: readonly Excluded[];
}

/** A possible one with what it brings to a goal: what a sequence may be composed of. */
export interface Candidate extends Possible {
  /** Seconds that count toward each want of the goal, mean of both hands. */
  readonly gives: readonly number[];
}

/** What a possible one brings to a goal. */
export function candidateFor(possible: Possible, goal: TrainingGoal): Candidate {
  const { movement, level, demand, workS } = possible;
  const bothS = workS.left + workS.right;
  // What is locked may ask what this body cannot take: it gives nothing, and the checks say so.
  const gives = goal.wants.map((want) => (demand ? (countsFor(want, movement, level, demand) * bothS) / 2 : 0));
  return { ...possible, gives };
}

/** What a possible one is made of, besides what is computed. */
export interface Placed {
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
  readonly phase: Phase;
}

/** Where a level is done: what is fixed in the room is walked to. */
const stationOf = (posture: Posture, needs: readonly Equipment[]): string => [PLACE_OF[posture], ...fixedOf(needs)].join(' ');

/** A block that was examined, as a possible one; the first of its sequence where it was examined by itself. */
export function possibleOf(view: SessionView, { movement, level, dose, phase }: Placed, index = 0): Possible {
  const block = itemAt(view.blocks, index);
  const { efforts } = view;
  const needs = equipmentFor(movement, level, dose);
  const fixed = fixedOf(needs);
  const [groupPercent, doses, hardS, stretchS]: [ByGroup, ByGroup, ByGroup, ByGroup] = [{}, {}, {}, {}];
  for (const [key, spans] of efforts.spans) {
    const { group } = partsOf(key);
    const mine = spans.filter(({ blockId }) => blockId === block.block.id);
    for (const { effort, dose: sum } of sumsByBlock(key, mine).values()) {
      groupPercent[group] = Math.max(groupPercent[group] ?? 0, 100 * effort);
      doses[group] = (doses[group] ?? 0) + sum;
    }
    hardS[group] = Math.max(hardS[group] ?? 0, hardSeconds(mine));
  }
  const workS = { left: block.account.left.workS, right: block.account.right.workS };
  const most = Math.max(workS.left, workS.right);
  if (level.load.kind === 'stretch') for (const group of movement.trains) stretchS[group] = most;
  const digits = digitsOf(movement, dose);
  const both = workS.left + workS.right;
  return {
    key: `${movement.id} ${phase} ${dose.sets}`,
    movement,
    level,
    dose,
    phase,
    seconds: ownSeconds(view, index),
    station: stationOf(level.posture, needs),
    posture: level.posture,
    things: needs.filter((thing) => !fixed.includes(thing) && thing !== 'mat'),
    demand: block.demand,
    effortPercent: block.effortPercent,
    hard: block.hard,
    free: isFree(block),
    loads: loads(block),
    directions: block.visit.directions,
    groupPercent,
    doses,
    hardS,
    stretchS,
    workS,
    digitS: Object.fromEntries(digits.map((digit) => [digit, both / digits.length])),
  };
}

/** Getting ready, and getting into position, are counted elsewhere. */
const ownSeconds = ({ timeline }: SessionView, index: number): number =>
  timeline.events.reduce(
    (sum, { kind, durationMs, blockIndex }) => (blockIndex === index && kind !== 'ready' && kind !== 'position' ? sum + durationMs : sum),
    0,
  ) / 1000;

/** The same with fewer sets: what a set brings is the same in each. @param seconds of it, as its own timeline has them */
export function withFewerSets(of: Possible, dose: Dose, seconds: number): Possible {
  const share = dose.sets / of.dose.sets;
  const less = <K extends string>(amounts: Partial<Record<K, number>>) =>
    Object.fromEntries(Object.entries<number | undefined>(amounts).map(([key, value]) => [key, (value ?? 0) * share])) as Partial<
      Record<K, number>
    >;
  return {
    ...of,
    key: `${of.movement.id} ${of.phase} ${dose.sets}`,
    dose,
    seconds,
    doses: less(of.doses),
    hardS: less(of.hardS),
    stretchS: less(of.stretchS),
    workS: { left: of.workS.left * share, right: of.workS.right * share },
    digitS: less(of.digitS),
  };
}
