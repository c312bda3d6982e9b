import { handsInTurn, SIDE_PLANS } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { OWN_LOADS } from '../vocabulary/own-load.js';
import { between, bounded, kind, kinds, list, type Of, oneOf, onlyTrue, optional, record, text } from '../vocabulary/schema.js';
import { isSome } from '../vocabulary/lists.js';
import { DIRECTION_PLANS } from '../vocabulary/work.js';
import { AMOUNT_LIMITS, amountLimit, amountOf, WORK, withAmount, type Work } from './work.js';

export { amountLabel, amountLimit, amountOf, type Work, withAmount, workOf } from './work.js';

/**
 * What a dose may be at all, wherever it comes from: typed, imported or sent to the server.
 * These bound the computation and catch slips of the finger; what is *sensible* is in `usual-ranges.ts`.
 */
export const DOSE_LIMITS = {
  sets: { min: 1, max: 20, step: 1, unit: 'sets' },
  ...AMOUNT_LIMITS,
  effortPercent: { min: 1, max: 100, step: 1, unit: '%' },
  holdS: { min: 0.5, max: 120, step: 0.5, unit: 's' },
  pauseS: { min: 0.5, max: 120, step: 0.5, unit: 's' },
  tempoS: { min: 0.5, max: 30, step: 0.5, unit: 's' },
  restS: { min: 0, max: 900, step: 1, unit: 's' },
  fasterPercent: { min: 5, max: 100, step: 5, unit: '% each set' },
  fasterS: { min: 0.5, max: 10, step: 0.5, unit: 's each set' },
} as const satisfies Record<string, Limit>;

/** How many different kinds of sets one dose may have. */
export const MOST_SET_GROUPS = 6;
/** How many positions a movement may be worked through in, and how long their names may be. */
export const MOST_POSITIONS = 6;
/** Longest name of a position: with a direction behind it, it fits where the records keep directions. */
export const MOST_POSITION_LETTERS = 18;

const TEMPO = record(
  { outS: bounded(DOSE_LIMITS.tempoS, 'Tempo out'), backS: bounded(DOSE_LIMITS.tempoS, 'Tempo back') },
  { what: 'outS and backS' },
);
/** Seconds of the way out and the way back of one repetition. A hold in between is `Dose.holdS`. */
export type Tempo = Of<typeof TEMPO>;

const HOLD_S = optional(bounded(DOSE_LIMITS.holdS, 'The hold in each repetition'));
const SET_GROUP = record(
  {
    sets: bounded(DOSE_LIMITS.sets, 'Sets'),
    work: WORK,
    /** Where these sets are held for another time than the dose's. */
    holdS: HOLD_S,
  },
  { what: 'sets and their work' },
);
/** Some sets that are alike. */
export type SetGroup = Of<typeof SET_GROUP>;

const own = (name: keyof typeof OWN_LOADS) => optional(between(OWN_LOADS[name].limit, OWN_LOADS[name].label));
/** What a dose sets over the level's own load and posture. */
export const OWN_LOAD = record(
  {
    massKg: own('massKg'),
    /** Force of a spring or a band as it is sold: that of a weight. */
    springKg: own('springKg'),
    bandKg: own('bandKg'),
    edgeMm: own('edgeMm'),
    handleMm: own('handleMm'),
    pinchMm: own('pinchMm'),
    /** Under the heel of the hand. */
    wedgeDeg: own('wedgeDeg'),
    handHeightM: own('handHeightM'),
    awayM: own('awayM'),
  },
  { what: 'its own load' },
);
/** What a dose sets over the level's own load and posture. */
export type OwnLoad = Of<typeof OWN_LOAD>;

/** In whatever unit the sets are counted in; the limit of that unit is checked with the dose. */
const ANY_AMOUNT: Limit = { ...AMOUNT_LIMITS.seconds, unit: '' };
const EFFORT = bounded(DOSE_LIMITS.effortPercent, 'Effort');
const EFFORT_TO = optional(bounded(DOSE_LIMITS.effortPercent, 'Effort up to'));
/** Effort on a day on which the hands are sore. */
const SORE_EFFORT = record({ effortPercent: EFFORT, effortToPercent: EFFORT_TO }, { what: 'an effort for sore days' });
const FASTER = kinds(
  [
    record({ kind: kind('percent'), percent: bounded(DOSE_LIMITS.fasterPercent, 'Faster') }),
    record({ kind: kind('seconds'), seconds: bounded(DOSE_LIMITS.fasterS, 'Shorter') }),
  ],
  'how much faster each set is',
);
/** How much faster each set is than the one before: by percent of the first, or by seconds a repetition. */
export type Faster = Of<typeof FASTER>;

/**
 * sets × work × sides × directions, with effort, tempo and rest.
 * `restS` is taken after each set but the last: what follows the last set is the next block's announcement.
 */
export const DOSE = record(
  {
    sets: bounded(DOSE_LIMITS.sets, 'Sets'),
    work: WORK,
    /** Sets that differ from the first ones and follow them, counted in the same kind of work. */
    then: optional(list(SET_GROUP, { min: 1, max: MOST_SET_GROUPS - 1, what: 'further sets' })),
    sides: oneOf(SIDE_PLANS, 'Sides'),
    /** All sets of one hand come before the other's; without it hands change in every set. */
    oneHandFirst: optional(onlyTrue()),
    /** Amount of the right hand's sets, where it is not the left's. Only where one hand follows the other. */
    rightAmount: optional(bounded(ANY_AMOUNT, 'Right hand')),
    /** What the amount of a set is to become: shown beside it, and reached before the level changes. */
    goal: optional(bounded(ANY_AMOUNT, 'Goal')),
    /** Of the movement's positions only these, in this order; all of them where it is not said. */
    positions: optional(list(text(MOST_POSITION_LETTERS, 1), { min: 1, max: MOST_POSITIONS, unique: true, what: 'positions' })),
    directions: oneOf(DIRECTION_PLANS, 'Directions'),
    /** Percent of the person's own maximum in this action (%MVC). */
    effortPercent: optional(EFFORT),
    /** The upper end of a range of effort. */
    effortToPercent: EFFORT_TO,
    sore: optional(SORE_EFFORT),
    /** At the far end of each repetition. */
    holdS: HOLD_S,
    /** Between two repetitions of a hand. */
    pauseS: optional(bounded(DOSE_LIMITS.pauseS, 'The pause between repetitions')),
    /** Without it the level's usual tempo paces the count. */
    tempo: optional(TEMPO),
    faster: optional(FASTER),
    restS: bounded(DOSE_LIMITS.restS, 'Rest'),
    load: optional(OWN_LOAD),
  },
  { what: 'a dose' },
);
/** How much of a level: sets, work, hands, directions, effort, tempo, rest, and what it is loaded with. */
export type Dose = Of<typeof DOSE>;

/** The groups of sets in their order. */
export const setGroupsOf = ({ sets, work, then = [] }: Dose): readonly SetGroup[] => [{ sets, work }, ...then];

/** The seconds that each repetition of a set is held; undefined where it is not. @param set 1-based */
export function holdOfSet(dose: Dose, set: number): number | undefined {
  const holds = setGroupsOf(dose).flatMap(({ sets, holdS }) => Array.from({ length: sets }, () => holdS));
  return holds[set - 1] ?? dose.holdS;
}

/** A dose with these groups of sets in the place of its own. Only sets that are all alike have an amount for each hand. */
export function withSetGroups(dose: Dose, [first, ...then]: readonly [SetGroup, ...SetGroup[]]): Dose {
  const { then: _then, rightAmount, ...rest } = dose;
  if (then.length > 0) return { ...rest, ...first, then };
  if (rightAmount === undefined) return { ...rest, ...first };
  const { min, max } = amountLimit(first.work.kind);
  // The other hand keeps its share: less for the left is less for the right. What was in fives stays in fives, never above the share.
  const now = amountOf(first.work);
  const step = first.work.kind === 'time' && now % 5 === 0 && rightAmount % 5 === 0 ? 5 : 1;
  const right = Math.floor((rightAmount * now) / amountOf(dose.work) / step) * step;
  return { ...rest, ...first, rightAmount: Math.min(max, Math.max(min, right)) };
}

/** A dose with the amount of every set replaced, within the limits of its kind. */
export function withAmounts(dose: Dose, amount: (now: number, work: Work) => number): Dose {
  const { min, max } = amountLimit(dose.work.kind);
  const within = (value: number) => Math.min(max, Math.max(min, Math.round(value)));
  const [first, ...more] = setGroupsOf(dose).map((group): SetGroup => {
    const { work } = group;
    return { ...group, work: withAmount(work, within(amount(amountOf(work), work))) };
  });
  return withSetGroups(dose, [first as SetGroup, ...more]);
}

/** The work of each set, in order. @example worksOf(parseDose('2x10,1xmax')).map(amountOf) → [10, 10, 20] */
export const worksOf = (dose: Dose): readonly Work[] =>
  setGroupsOf(dose).flatMap(({ sets, work }) => Array.from({ length: sets }, () => work));

/** How many sets there are, of all groups. */
export const setCount = (dose: Dose): number => setGroupsOf(dose).reduce((sum, { sets }) => sum + sets, 0);

/** The same dose with one set less: of its last group that has several, else without its last group; null where one set is all there is. */
export function oneSetLess(dose: Dose): Dose | null {
  const groups = setGroupsOf(dose);
  const last = groups.findLastIndex(({ sets }) => sets > 1);
  const fewer =
    last < 0 ? groups.slice(0, -1) : groups.map((group, index) => (index === last ? { ...group, sets: group.sets - 1 } : group));
  return isSome(fewer) ? withSetGroups(dose, fewer) : null;
}

/** Doses of one set less and less, down to one. */
export function fewerSets(dose: Dose): Dose[] {
  const less = oneSetLess(dose);
  return less ? [less, ...fewerSets(less)] : [];
}

/** Time and distance are one piece, however long. */
const piecesIn = (work: Work): number => (work.kind === 'time' || work.kind === 'distance' ? 1 : work.count);

/**
 * Pieces that a dose is counted in, for both hands: what bounds every computation over its timeline.
 * @param positions that the movement is worked through in, where the dose doesn’t name them
 * @example piecesOf({ sets: 3, work: { kind: 'repetitions', count: 8 }, sides: 'left-then-right', directions: 'each', restS: 0 }) → 96
 */
export function piecesOf(dose: Dose, positions = 1): number {
  const { sides, directions } = dose;
  const each = setGroupsOf(dose).reduce((sum, { sets, work }) => sum + sets * piecesIn(work), 0);
  return each * handsInTurn(sides).length * (directions === 'each' ? 2 : 1) * (dose.positions?.length ?? positions);
}
