import type { Person } from './capacity.js';
import { demandOf, type Loaded } from './demand.js';
import { inPosition } from './in-way.js';
import type { Dose } from '../model/dose.js';
import { gradesFor } from '../model/grades.js';
import { type LevelLoad, loadLimit } from '../model/load.js';
import { effortMeans, type Level, type Movement, type MovementLookup, positionsIn } from '../model/movement.js';
import { resolveBlock } from '../model/check-sequence.js';
import { withOwnSet } from '../model/effort-or-load.js';
import { kilogramsNameOf, withOwnLoad } from '../model/own-load.js';
import { roundOf } from '../model/rounds.js';
import type { Sequence } from '../model/sequence.js';
import { OWN_LOADS } from '../vocabulary/own-load.js';
import type { Action } from '../vocabulary/actions.js';
import type { Contact } from '../vocabulary/contacts.js';
import { kgFromN, newtonsFromKg } from '../vocabulary/gravity.js';

/** What of a dose changes what a level asks at any moment. */
export type Dosed = Pick<Dose, 'effortPercent' | 'load' | 'tempo' | 'holdS'>;
/** What of a level is dosed. */
export interface Doseable extends Loaded {
  readonly shapes?: Level['shapes'];
  /** The level's usual dose: its load was written at that one's pace. */
  readonly dose?: Dosed;
}

/**
 * A level as a dose asks for it of a person: with the dose's own load, at its pace, and as hard as it says. A press is as hard as the effort; a weight
 * or a spring is the one that asks the effort of this person's hardest action, to the step or grade in which such things come; a hand that moves or bears keeps the
 * effort besides; a stretch pushes back with it.
 * @param pace over that of the dose: 1.2 is a fifth faster, as in a later round
 */
export function asDosed<L extends Doseable>(person: Person, movement: Pick<Movement, 'equipment'>, level: L, dose: Dosed, pace = 1): L {
  const own = withOwnLoad(level, dose.load);
  return withEffort(person, movement, withPace(own, dose, pace), dose.effortPercent);
}

/** Free motion goes as fast as its dose does, beside the pace that the level was written for. */
function withPace<L extends Doseable>(level: L, dose: Dosed, pace: number): L {
  const { load } = level;
  if (load.kind !== 'move') return level;
  const [usualS, askedS] = [cycleS(level.dose), cycleS(dose)];
  const faster = pace * (usualS && askedS ? usualS / askedS : 1);
  if (Math.abs(faster - 1) < 1e-9) return level;
  const { min, max } = loadLimit('move', 'perMinute');
  return { ...level, load: { ...load, perMinute: Math.min(max, Math.max(min, load.perMinute * faster)) } };
}

const cycleS = ({ tempo, holdS = 0 }: Dosed = {}): number | null => (tempo ? tempo.outS + holdS + tempo.backS : null);

function withEffort<L extends Doseable>(
  person: Person,
  movement: Pick<Movement, 'equipment'>,
  level: L,
  effortPercent: number | undefined,
): L {
  const { load } = level;
  if (effortPercent === undefined) return level;
  switch (effortMeans(level)) {
    case 'pressed':
      return { ...level, load: { ...load, effortPercent } };
    case 'pushed':
      return { ...level, load: { ...load, pushPercent: effortPercent } };
    case 'kept':
      return { ...level, kept: { action: keptAction(level), percent: effortPercent } };
    case 'finds the load':
      return foundFor(person, movement, level, effortPercent);
    case null:
      return level;
  }
}

const CLOSED: readonly Contact[] = ['fist', 'handle', 'ball', 'edge'];
/** What the hand can keep while something else moves: opened wide it spreads, else it grips. */
const keptAction = ({ contact, shapes }: Doseable): Action =>
  !CLOSED.includes(contact) && shapes?.every((shape) => shape === 'spread') ? 'finger extension' : 'grip';

/** The weight that the effort of a dose finds for somebody, kilograms: in several positions that of the weakest. Null where it finds none. */
export function foundKilograms(
  person: Person,
  movement: Pick<Movement, 'positions' | 'equipment'>,
  level: Level,
  dose: Dosed & Pick<Dose, 'positions'>,
): number | null {
  if (dose.effortPercent === undefined || effortMeans(level) !== 'finds the load') return null;
  const positions = positionsIn(movement, dose);
  const levels = positions.length > 0 ? positions.map((position) => inPosition(level, position)) : [level];
  const found = levels.flatMap((each) => kilogramsOf(asDosed(person, movement, each, dose)) ?? []);
  return found.length > 0 ? Math.min(...found) : null;
}

/** A dose with the weight that its effort finds for somebody in the effort's place; the same dose where it finds none. */
export function withFoundLoad(person: Person, movement: Movement, level: Level, dose: Dose): Dose {
  const kg = foundKilograms(person, movement, level, dose);
  const name = kilogramsNameOf(level, movement);
  if (kg === null || !name) return dose;
  const { min, max } = OWN_LOADS[name].limit;
  return withOwnSet(dose, name, Math.min(max, Math.max(min, Math.round(kg * 100) / 100)));
}

/**
 * A sequence as it is led with somebody today: what an effort finds is that weight from here on, whatever is believed of them later. Where the level
 * changes from round to round the effort finds another weight in each, and stays.
 */
export function withFoundLoads(person: Person, sequence: Sequence, lookup: MovementLookup): Sequence {
  const blocks = sequence.blocks.map((block) => {
    if (roundOf(sequence, block.id)?.change?.levels) return block;
    const { movement, level } = resolveBlock(block, lookup);
    const dose = withFoundLoad(person, movement, level, block.dose);
    return dose === block.dose ? block : { ...block, dose };
  });
  return { ...sequence, blocks };
}

/** The kilograms that a level names of its own: a weight, or the force of a spring or a band; undefined where it has none. */
export function kilogramsOf({ load }: Pick<Loaded, 'load'>): number | undefined {
  if (load.kind === 'resist') return kgFromN(load.forceN);
  if (load.kind === 'hang') return load.addedKg;
  return load.kind === 'weight' || load.kind === 'lift' || load.kind === 'roller' ? load.massKg : undefined;
}

/** The number that an effort finds in each kind of load, and the step in which such things come. */
const FOUND: Partial<Record<LevelLoad['kind'], { readonly field: string; readonly step: number }>> = {
  weight: { field: 'massKg', step: 0.25 },
  lift: { field: 'massKg', step: 0.5 },
  roller: { field: 'massKg', step: 0.25 },
  hang: { field: 'addedKg', step: 0.5 },
  // Springs and bands are sold by kilograms: a quarter of one.
  resist: { field: 'forceN', step: newtonsFromKg(0.25) },
};

/** The largest load at which neither hand works harder than the effort, of the springs or bands where those are listed; the lightest there is where that is more already. */
function foundFor<L extends Doseable>(person: Person, movement: Pick<Movement, 'equipment'>, level: L, effortPercent: number): L {
  const { load } = level;
  const found = FOUND[load.kind];
  if (!found) return level;
  const at = (value: number): L => ({ ...level, load: { ...load, [found.field]: value } });
  const isWithin = (dosed: L) => {
    const { left, right } = demandOf(person, dosed);
    return Math.max(left.effortPercent, right.effortPercent) <= effortPercent;
  };
  const graded = load.kind === 'resist' ? gradesFor(person.grades ?? [], movement).map(({ kg }) => at(newtonsFromKg(kg))) : [];
  const [lightest] = graded;
  if (lightest) return graded.findLast(isWithin) ?? lightest;
  const { min, max } = loadLimit(load.kind, found.field);
  let [low, high] = [Math.ceil(min / found.step), Math.floor(max / found.step)];
  // By halving, on the steps themselves.
  while (low < high) {
    const middle = Math.ceil((low + high) / 2);
    if (isWithin(at(middle * found.step))) low = middle;
    else high = middle - 1;
  }
  return at(low * found.step);
}
