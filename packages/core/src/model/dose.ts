import type { Fault } from '../vocabulary/fault.js';
import { faultsOf } from '../vocabulary/faults.js';
import { handsInTurn, SIDE_PLANS } from '../vocabulary/hands.js';
import type { Limit } from '../vocabulary/limit.js';
import { OWN_LOADS } from '../vocabulary/own-load.js';
import { between, kind, kinds, list, type Of, oneOf, optional, record, bounded } from '../vocabulary/schema.js';
import { isSome } from '../vocabulary/lists.js';
import { capital } from '../vocabulary/text.js';
import { DIRECTION_PLANS, OPEN_ENDS, UNIT_OF, type WorkKind } from '../vocabulary/work.js';

/**
 * What a dose may be at all, wherever it comes from: typed, imported or sent to the server.
 * These bound the computation and catch slips of the finger; what is *sensible* is in `usual-ranges.ts`.
 */
export const DOSE_LIMITS = {
  sets: { min: 1, max: 20, step: 1, unit: 'sets' },
  repetitions: { min: 1, max: 200, step: 1, unit: 'repetitions' },
  seconds: { min: 1, max: 1800, step: 1, unit: 's' },
  breaths: { min: 1, max: 60, step: 1, unit: 'breaths' },
  metres: { min: 1, max: 1000, step: 1, unit: 'm' },
  effortPercent: { min: 1, max: 100, step: 1, unit: '%' },
  holdS: { min: 0.5, max: 120, step: 0.5, unit: 's' },
  pauseS: { min: 0.5, max: 120, step: 0.5, unit: 's' },
  tempoS: { min: 0.5, max: 30, step: 0.5, unit: 's' },
  restS: { min: 0, max: 900, step: 1, unit: 's' },
} as const satisfies Record<string, Limit>;

/** How many different kinds of sets one dose may have. */
export const MOST_SET_GROUPS = 6;

/** An open set ends when the form fails or the stretch eases; its amount is the ceiling, the most that may be done. */
const OPEN = optional(oneOf(OPEN_ENDS, 'Open until'));
const WORK = kinds(
  [
    record({ kind: kind('repetitions'), count: bounded(DOSE_LIMITS.repetitions, 'Repetitions'), open: OPEN }),
    record({ kind: kind('time'), seconds: bounded(DOSE_LIMITS.seconds, 'Seconds'), open: OPEN }),
    record({ kind: kind('breaths'), count: bounded(DOSE_LIMITS.breaths, 'Breaths'), open: OPEN }),
    record({ kind: kind('distance'), metres: bounded(DOSE_LIMITS.metres, 'Metres'), open: OPEN }),
  ],
  'a type of work and its amount',
);
/** What fills one set. Amounts count per side and per direction. */
export type Work = Of<typeof WORK>;

const TEMPO = record(
  { outS: bounded(DOSE_LIMITS.tempoS, 'Tempo out'), backS: bounded(DOSE_LIMITS.tempoS, 'Tempo back') },
  { what: 'outS and backS' },
);
/** Seconds of the way out and the way back of one repetition. A hold in between is `Dose.holdS`. */
export type Tempo = Of<typeof TEMPO>;

const SET_GROUP = record({ sets: bounded(DOSE_LIMITS.sets, 'Sets'), work: WORK }, { what: 'sets and their work' });
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
    directions: oneOf(DIRECTION_PLANS, 'Directions'),
    /** Percent of the person's own maximum in this action (%MVC). */
    effortPercent: optional(bounded(DOSE_LIMITS.effortPercent, 'Effort')),
    /** At the far end of each repetition. Only with repetitions. */
    holdS: optional(bounded(DOSE_LIMITS.holdS, 'The hold in each repetition')),
    /** Between two repetitions of a hand. Only with repetitions. */
    pauseS: optional(bounded(DOSE_LIMITS.pauseS, 'The pause between repetitions')),
    /** Only with repetitions; without it the level's usual tempo paces the count. */
    tempo: optional(TEMPO),
    restS: bounded(DOSE_LIMITS.restS, 'Rest'),
    load: optional(OWN_LOAD),
  },
  { what: 'a dose' },
);
/** How much of a level: sets, work, hands, directions, effort, tempo, rest, and what it is loaded with. */
export type Dose = Of<typeof DOSE>;

/** The limit that applies to the amount of a kind of work. */
export function amountLimit(kind: WorkKind): Limit {
  return DOSE_LIMITS[UNIT_OF[kind]];
}

/** The number in a work: repetitions, seconds, breaths or metres; of an open set its ceiling. */
export function amountOf(work: Work): number {
  if (work.kind === 'time') return work.seconds;
  return work.kind === 'distance' ? work.metres : work.count;
}

/** A work of the same kind or another with this amount. */
export function workOf(kind: WorkKind, amount: number, open?: Work['open']): Work {
  const end = open && { open };
  if (kind === 'time') return { kind, seconds: amount, ...end };
  return kind === 'distance' ? { kind, metres: amount, ...end } : { kind, count: amount, ...end };
}

/** The same work with another amount. */
export const withAmount = (work: Work, amount: number): Work => workOf(work.kind, amount, work.open);

/** The groups of sets in their order. */
export const setGroupsOf = ({ sets, work, then = [] }: Dose): readonly SetGroup[] => [{ sets, work }, ...then];

/** A dose with these groups of sets in the place of its own. */
export function withSetGroups(dose: Dose, [first, ...then]: readonly [SetGroup, ...SetGroup[]]): Dose {
  const { then: _then, ...rest } = dose;
  return { ...rest, ...first, ...(then.length > 0 && { then }) };
}

/** A dose with the amount of every set replaced, within the limits of its kind. */
export function withAmounts(dose: Dose, amount: (now: number, work: Work) => number): Dose {
  const { min, max } = amountLimit(dose.work.kind);
  const [first, ...more] = setGroupsOf(dose).map(({ sets, work }): SetGroup => {
    const wanted = Math.round(amount(amountOf(work), work));
    return { sets, work: withAmount(work, Math.min(max, Math.max(min, wanted))) };
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

/** What the amount of a kind of work is called. @example amountLabel('time') → 'Seconds' */
export const amountLabel = (work: WorkKind) => capital(UNIT_OF[work]);

/** Time and distance are one piece, however long. */
const piecesIn = (work: Work): number => (work.kind === 'time' || work.kind === 'distance' ? 1 : work.count);

/**
 * Pieces that a dose is counted in, for both hands: what bounds every computation over its timeline.
 * @example piecesOf({ sets: 3, work: { kind: 'repetitions', count: 8 }, sides: 'left-then-right', directions: 'each', restS: 0 }) → 96
 */
export function piecesOf(dose: Dose): number {
  const { sides, directions } = dose;
  const each = setGroupsOf(dose).reduce((sum, { sets, work }) => sum + sets * piecesIn(work), 0);
  return each * handsInTurn(sides).length * (directions === 'each' ? 2 : 1);
}

/** Every way in which a dose breaks the limits or its own parts; empty when it is fine. Pointers are relative to the dose. */
export function checkDose(dose: Dose): Fault[] {
  let faults = checked.get(dose);
  if (!faults) checked.set(dose, (faults = faultsIn(dose)));
  return faults;
}
/** A dose is a document: the same one is checked once, however often its sequence is compiled. */
const checked = new WeakMap<Dose, Fault[]>();

function faultsIn(dose: Dose): Fault[] {
  const shape = faultsOf(DOSE, dose).map((fault) => ceilingFault(dose, fault));
  return shape.length > 0 ? [...shape, ...faultsTogether(dose)] : [...faultsTogether(dose), ...faultsOfSets(dose)];
}

/** An open set without a ceiling is reported as that, rather than as a missing number. */
function ceilingFault(dose: Partial<Dose>, fault: Fault): Fault {
  const at = /^\/(?:then\/(\d+)\/)?work\/(?:count|seconds|metres)$/.exec(fault.pointer);
  if (!at || !fault.message.startsWith('is missing')) return fault;
  const work = at[1] === undefined ? dose.work : dose.then?.[Number(at[1])]?.work;
  if (!work?.open) return fault;
  return { pointer: fault.pointer, message: 'An open-ended set needs a maximum, for example max20 or ease90s.' };
}

/** What no field alone can tell. */
function faultsTogether({ work, holdS, pauseS, tempo, sides }: Partial<Dose>): Fault[] {
  if (!work || work.kind === 'repetitions') return [];
  const faults: Fault[] = [];
  const alone = 'only works with repetitions: give a number of repetitions, or leave it out';
  if (holdS !== undefined) faults.push({ pointer: '/holdS', message: alone, label: 'A hold in each repetition' });
  if (pauseS !== undefined) {
    faults.push({ pointer: '/pauseS', message: alone, label: 'A pause between repetitions' });
  }
  if (tempo) faults.push({ pointer: '/tempo', message: alone, label: 'A tempo' });
  if (sides === 'alternating') {
    const message = 'alternating hands swap with each repetition: give repetitions, or choose left then right';
    faults.push({ pointer: '/sides', message });
  }
  return faults;
}

/** What the sets of a dose must have in common, and what an open end goes with. */
function faultsOfSets(dose: Dose): Fault[] {
  const faults: Fault[] = [];
  const groups = setGroupsOf(dose);
  groups.forEach(({ work }, index) => {
    const at = index === 0 ? '/work' : `/then/${index - 1}/work`;
    if (work.kind !== dose.work.kind) {
      const message = `Count all sets of a block the same way, in ${UNIT_OF[dose.work.kind]}. Put what counts in ${UNIT_OF[work.kind]} into its own block.`;
      faults.push({ pointer: `${at}/kind`, message });
    }
    if (work.open === 'ease' && work.kind !== 'time' && work.kind !== 'breaths') {
      const message = `“Until it eases” needs seconds or breaths, for example ease90s or ease10br, not ${UNIT_OF[work.kind]}.`;
      faults.push({ pointer: `${at}/open`, message });
    }
  });
  if (setCount(dose) > DOSE_LIMITS.sets.max) {
    const message = `All sets together come to ${setCount(dose)}. The maximum is ${DOSE_LIMITS.sets.max}.`;
    faults.push({ pointer: '/then', message });
  }
  return faults;
}
