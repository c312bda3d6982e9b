import type { Person } from '../mechanics/capacity.js';
import { asDosed, withFoundLoad } from '../mechanics/as-dosed.js';
import { type Demand, demandOf } from '../mechanics/demand.js';
import { inPosition, inSecondDirection } from '../mechanics/in-way.js';
import { BodyError } from '../model/body.js';
import type { Dose } from '../model/dose.js';
import type { Level, Movement, MovementLookup } from '../model/movement.js';
import { withOwnLoad } from '../model/own-load.js';
import { PostureError } from '../model/posture.js';
import { turnKey, turnsOf } from '../model/rounds.js';
import type { Sequence } from '../model/sequence.js';
import { turnOf } from '../timeline/compile-timeline.js';
import { type Way, waysOf } from '../timeline/ways.js';
import { type EventPart, type Timeline, type TimelineEvent, WORK_EVENTS } from '../timeline/timeline.js';
import { type Hand, HANDS, otherHand } from '../vocabulary/hands.js';
import { itemAt, must } from '../vocabulary/lists.js';
import { groupsOf, type SideGroup } from '../vocabulary/muscles.js';

/** A stretch of time in which one group on one side works at a constant effort. */
export interface EffortSpan {
  readonly blockId: string;
  readonly startMs: number;
  readonly endMs: number;
  /** The most that it asks, as a share of what is believed of the rested maximum; above 1 the demand is more than there is. */
  readonly effort: number;
  /** What of it tires: its mean over strokes, all of it in a hold. */
  readonly charged: number;
  /** Spread of the effort, a log-sd. */
  readonly logSd: number;
  /** Which open set it belongs to: whoever cannot go on lets go, and that is no failure. */
  readonly open?: number | undefined;
}

/** What every group on each side is asked for over a timeline; neighbouring spans of one effort are one. */
export interface EffortTimeline {
  readonly spans: ReadonlyMap<SideGroup, readonly EffortSpan[]>;
  readonly durationMs: number;
  /** What each block asks in its hardest round, in the sequence's order; null where this body cannot take it. */
  readonly demands: readonly (Demand | null)[];
  /** The same of every turn, in the timeline's order. */
  readonly turnDemands: readonly (Demand | null)[];
  /** Each block's different forms: one, or one a round where the level or the pace changes. */
  readonly forms: readonly (readonly BlockForm[])[];
  /** Blocks that this body cannot take, with the reason: they ask for nothing here. */
  readonly impossible: readonly { blockId: string; message: string }[];
}

/** A block for a person in one round or more: the level as dosed, and its demand. */
export interface BlockForm {
  readonly level: Level;
  readonly demand: Demand;
  /** In its other positions and the second direction, where they ask something else. */
  readonly others: readonly Demand[];
}

/**
 * Lays the demand of every turn over the compiled timeline. A press is as hard as its dose says; everything else as hard as its load is
 * for this person. Work of both hands counts for each; rests and announcements ask for nothing.
 */
export function effortTimeline(person: Person, sequence: Sequence, timeline: Timeline, lookup: MovementLookup): EffortTimeline {
  const { works, demands, forms, impossible } = turnWorks(person, sequence, lookup);
  const writer = new SpanWriter();
  for (const event of timeline.events) {
    const turn = works.get(turnKey(event));
    if (!turn || !WORK_EVENTS.includes(event.kind)) continue;
    const efforts = turn.effortsIn(event.direction);
    for (const hand of event.side === 'both' ? HANDS : [event.side]) writer.write(event, efforts[hand]);
    // The other hand is planted beside it and carries its own share.
    if (event.side !== 'both') writer.write(event, turn.besideEfforts?.[otherHand(event.side)] ?? []);
  }
  const { spans } = writer;
  const turnDemands = timeline.turns.map((turn) => works.get(turnKey(turn))?.demand ?? null);
  return { spans, durationMs: timeline.durationMs, demands, turnDemands, forms, impossible };
}

/** What every turn asks, found once for each. */
function turnWorks(person: Person, sequence: Sequence, lookup: MovementLookup) {
  const impossible: { blockId: string; message: string }[] = [];
  const works = new Map<string, TurnWork>();
  const demands: (Demand | null)[] = sequence.blocks.map(() => null);
  const forms: BlockForm[][] = sequence.blocks.map(() => []);
  for (const turn of turnsOf(sequence)) {
    const { block, movement, level, dose, pace } = turnOf(sequence, turn, lookup);
    const found = workOfTurn(person, movement, level, dose, pace);
    if (typeof found === 'string') {
      if (!impossible.some(({ blockId }) => blockId === block.id)) impossible.push({ blockId: block.id, message: found });
      continue;
    }
    works.set(turnKey(turn), found);
    const blockForm = itemAt(forms, turn.blockIndex);
    if (!blockForm.some((form) => form.demand === found.demand))
      blockForm.push({ level: found.level, demand: found.demand, others: found.others });
    demands[turn.blockIndex] = harder(demands[turn.blockIndex] ?? null, found.demand);
  }
  return { works, demands, forms, impossible };
}

const hardest = ({ left, right }: Demand) => Math.max(left.effortPercent, right.effortPercent);
/** Of two rounds of a block the one that asks more. */
const harder = (a: Demand | null, b: Demand): Demand => (a && hardest(a) >= hardest(b) ? a : b);

/** What one group is asked for: the peak, and what of it is charged while moving and while held. */
interface GroupEffort {
  readonly key: SideGroup;
  readonly effort: number;
  readonly moving: number;
  readonly still: number;
  readonly logSd: number;
}
type Efforts = Record<Hand, readonly GroupEffort[]>;

/** Strokes move; the hold of a repetition, a hold for time and breaths in a posture do not. */
const MOVES: readonly EventPart['name'][] = ['out', 'back'];

/** Grows while it is written. */
type GrowingSpan = { -readonly [K in keyof EffortSpan]: EffortSpan[K] };

/** Lays efforts over events, stroke by stroke; neighbours that ask the same are one. */
class SpanWriter {
  readonly spans = new Map<SideGroup, GrowingSpan[]>();

  write(event: TimelineEvent, efforts: readonly GroupEffort[]) {
    for (const group of efforts) {
      let list = this.spans.get(group.key);
      if (!list) this.spans.set(group.key, (list = []));
      let startMs = event.startMs;
      for (const { name, durationMs } of event.parts) {
        const moves = event.kind === 'bout' || MOVES.includes(name);
        const endMs = startMs + durationMs;
        const share = moves ? group.moving : group.still;
        if (name !== 'pause') lay(list, group, event, { startMs, endMs, charged: group.effort * share });
        startMs = endMs;
      }
    }
  }
}

function lay(
  list: GrowingSpan[],
  { effort, logSd }: GroupEffort,
  { blockId, open: isOpen, stint }: TimelineEvent,
  { startMs, endMs, charged }: Pick<EffortSpan, 'startMs' | 'endMs' | 'charged'>,
) {
  const open = isOpen && stint !== null ? { open: stint } : {};
  const last = list.at(-1);
  const goesOn = last?.endMs === startMs && last.effort === effort && last.charged === charged;
  if (goesOn && last.blockId === blockId && last.open === open.open) last.endMs = endMs;
  else list.push({ blockId, startMs, endMs, effort, charged, logSd, ...open });
}

/** What a level asks of a person: its demand, each group's effort by the way that is worked in, and the other hand's. */
interface TurnWork extends BlockForm {
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
function workOfTurn(person: Person, movement: Movement, level: Level, dose: Dose, pace: number): TurnWork | string {
  const own = withOwnLoad(level, dose.load);
  const ofLevel = cachedFor(person, movement, own);
  // Only what moves freely is paced by its dose.
  const { tempo, holdS = 0 } = dose;
  const paced = level.load.kind === 'move' ? ` ${pace} ${tempo?.outS ?? ''} ${holdS} ${tempo?.backS ?? ''}` : '';
  const key = `${dose.effortPercent ?? ''}${paced} ${dose.positions?.join(',') ?? ''}`;
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
    return workIn(person, level, movement.positions ? withFoundLoad(person, movement, level, dose) : dose, {
      ways: waysOf(movement, { directions: 'each', ...(dose.positions && { positions: dose.positions }) }),
      pace,
    });
  } catch (error) {
    if (!(error instanceof PostureError) && !(error instanceof BodyError)) throw error;
    return error.message;
  }
}

/** Both directions count, whichever the dose goes: what may be done is asked of the movement, not of today’s direction. */
function workIn(person: Person, level: Level, dose: Dose, { ways, pace }: { ways: readonly Way[]; pace: number }): TurnWork {
  const asks = new Map<Level, { readonly dosed: Level; readonly demand: Demand; readonly efforts: Efforts }>();
  const levelIn = levelsIn(level);
  const askIn = (way: Way) => {
    const own = levelIn(way);
    let ask = asks.get(own);
    if (!ask) {
      const dosed = asDosed(person, own, dose, pace);
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
    others: others.map((ask) => ask.demand),
    effortsIn: (way) => inWays.get(way)?.efforts ?? efforts,
    besideEfforts: demand.beside && groupEfforts(demand.beside),
  };
}

/** The level in each way; one object for ways that ask the same. */
function levelsIn(level: Level): (way: Way) => Level {
  const found = new Map<string, Level>();
  return ({ position, isSecond }) => {
    const key = `${position?.action ?? ''} ${position?.digits?.join(',') ?? ''} ${isSecond}`;
    const placed = position ? inPosition(level, position) : level;
    const own = isSecond ? inSecondDirection(placed) : placed;
    // A direction that changes nothing is the first one’s level.
    const known = found.get(key) ?? (own === placed ? (found.get(key.replace(/ true$/, ' false')) ?? own) : own);
    found.set(key, known);
    return known;
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
