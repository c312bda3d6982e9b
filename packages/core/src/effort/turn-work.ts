import type { Person } from '../mechanics/capacity.js';
import { asDosed, withFoundLoad } from '../mechanics/as-dosed.js';
import { type Demand, demandOf } from '../mechanics/demand.js';
import { inPosition, inSecondDirection } from '../mechanics/in-way.js';
import { BodyError } from '../model/body.js';
import type { Dose } from '../model/dose.js';
import { atEffort } from '../model/effort-or-load.js';
import { effortMeans, type Level, type Movement, type Position } from '../model/movement.js';
import { withOwnLoad } from '../model/own-load.js';
import { PostureError } from '../model/posture.js';
import { type Way, waysOf } from '../timeline/ways.js';
import type { Hand } from '../vocabulary/hands.js';
import { must } from '../vocabulary/lists.js';
import { groupsOf, type SideGroup } from '../vocabulary/muscles.js';

/** A block for a person in one round or more: the level as dosed, and its demand. */
export interface BlockForm {
  readonly level: Level;
  readonly demand: Demand;
  /** In its other positions and the second direction, where they ask something else. */
  readonly others: readonly Demand[];
}

/** What one group is asked for: the peak, and what of it is charged while moving and while held. */
export interface GroupEffort {
  readonly key: SideGroup;
  readonly effort: number;
  readonly moving: number;
  readonly still: number;
  readonly logSd: number;
}
type Efforts = Record<Hand, readonly GroupEffort[]>;

/** The harder of both hands. */
export const hardest = ({ left, right }: Demand) => Math.max(left.effortPercent, right.effortPercent);

/** What a level asks of a person: its demand, each group's effort by the way that is worked in, and the other hand's. */
export interface TurnWork extends BlockForm {
  readonly effortsIn: (way: string | null) => Efforts;
  readonly besideEfforts: Efforts | null;
}

/**
 * What was asked of whom already: an edit changes one block of thirty, and the others ask what they asked before. Keyed by identity, so that
 * nothing is kept of a person or a level that is gone.
 */
const cache = new WeakMap<Person, WeakMap<Movement, WeakMap<Level, Map<string, TurnWork | string>>>>();

/** A level as dosed and what it asks of somebody; null where this body cannot take it. */
export function formOf(person: Person, movement: Movement, level: Level, dose: Dose): BlockForm | null {
  const work = workOfTurn(person, movement, level, dose, 1);
  return typeof work === 'string' ? null : work;
}

/** What a level asks as dosed, at a pace; why not, in words, where this body cannot take it. */
export function workOfTurn(person: Person, movement: Movement, level: Level, dose: Dose, pace: number): TurnWork | string {
  const own = withOwnLoad(level, dose.load);
  const ofLevel = cachedFor(person, movement, own);
  // Only what moves freely is paced by its dose.
  const { tempo, holdS = 0 } = dose;
  const paced = level.load.kind === 'move' ? ` ${pace} ${tempo?.outS ?? ''} ${holdS} ${tempo?.backS ?? ''}` : '';
  const key = `${dose.effortPercent ?? ''}-${dose.effortToPercent ?? ''}${paced} ${dose.positions?.join(',') ?? ''}`;
  let work = ofLevel.get(key);
  if (work === undefined) ofLevel.set(key, (work = computed(person, movement, level, dose, pace)));
  return work;
}

function cachedFor(person: Person, movement: Movement, level: Level): Map<string, TurnWork | string> {
  let ofPerson = cache.get(person);
  if (!ofPerson) cache.set(person, (ofPerson = new WeakMap()));
  let ofMovement = ofPerson.get(movement);
  if (!ofMovement) ofPerson.set(movement, (ofMovement = new WeakMap()));
  let ofLevel = ofMovement.get(level);
  if (!ofLevel) ofMovement.set(level, (ofLevel = new Map<string, TurnWork | string>()));
  return ofLevel;
}

function computed(person: Person, movement: Movement, level: Level, dose: Dose, pace: number): TurnWork | string {
  try {
    return workIn(person, movement, level, movement.positions ? withFoundLoad(person, movement, level, dose) : dose, {
      ways: waysOf(movement, { directions: 'each', ...(dose.positions && { positions: dose.positions }) }),
      pace,
    });
  } catch (error) {
    if (!(error instanceof PostureError) && !(error instanceof BodyError)) throw error;
    return error.message;
  }
}

/** Both directions count, whichever the dose goes: what may be done is asked of the movement, not of today’s direction. */
function workIn(
  person: Person,
  movement: Movement,
  level: Level,
  dose: Dose,
  { ways, pace }: { ways: readonly Way[]; pace: number },
): TurnWork {
  const asks = new Map<Level, { readonly dosed: Level; readonly demand: Demand; readonly efforts: Efforts }>();
  const levelIn = levelsIn(level);
  const askIn = (way: Way) => {
    const own = levelIn(way);
    let ask = asks.get(own);
    if (!ask) {
      const dosed = asDosed(person, movement, own, dose, pace);
      const demand = demandOf(person, dosed);
      asks.set(own, (ask = { dosed, demand, efforts: groupEfforts(demand) }));
    }
    return ask;
  };
  const inWays = new Map(ways.map((way) => [way.name, askIn(way)]));
  const inOrder = [...asks.values()];
  // Of several positions the hardest speaks for the block.
  if (ways.some(({ position }) => position)) inOrder.sort((a, b) => hardest(b.demand) - hardest(a.demand));
  const [first, ...others] = inOrder;
  const { dosed, demand, efforts } = must(first, 'a way of working');
  return {
    level: dosed,
    demand,
    others: [...others.map((ask) => ask.demand), ...atUpperEnd(person, movement, [...asks.keys()], dose, pace)],
    effortsIn: (way) => inWays.get(way)?.efforts ?? efforts,
    besideEfforts: demand.beside && groupEfforts(demand.beside),
  };
}

/** A range of effort is led to its lower end, and may be done to its upper one: limits are held against that. */
function atUpperEnd(person: Person, movement: Movement, levels: readonly Level[], dose: Dose, pace: number): Demand[] {
  const [level] = levels;
  // A weight that is found is the one of the lower end, whoever feels strong.
  if (dose.effortToPercent === undefined || !level || effortMeans(level) === 'finds the load') return [];
  const upper = atEffort(dose, dose.effortToPercent);
  return levels.map((own) => demandOf(person, asDosed(person, movement, own, upper, pace)));
}

/** The level in each way; one object for ways that ask the same. */
function levelsIn(level: Level): (way: Way) => Level {
  const inPlaces = new Map<Position | null, Level>();
  return ({ position, isSecond }) => {
    const placed = inPlaces.get(position) ?? (position ? inPosition(level, position) : level);
    inPlaces.set(position, placed);
    return isSecond ? inSecondDirection(placed) : placed;
  };
}

/** The hardest effort of each muscle group. */
function groupEfforts(demand: Pick<Demand, Hand>): Efforts {
  const of = (hand: Hand) => {
    const most = new Map<SideGroup, GroupEffort>();
    // Hardest first: the first of a group is the one that is kept.
    for (const { action, effortPercent, moving, still, logSd } of demand[hand].efforts) {
      for (const group of effortPercent > 0 ? groupsOf(action) : []) {
        const key: SideGroup = `${hand} ${group}`;
        if (!most.has(key)) most.set(key, { key, effort: effortPercent / 100, moving, still, logSd });
      }
    }
    return [...most.values()];
  };
  return { left: of('left'), right: of('right') };
}
