import type { Person } from '../mechanics/capacity.js';
import { asDosed, type Demand, demandOf, inSecondDirection } from '../mechanics/demand.js';
import { BodyError } from '../model/body.js';
import { findLevel, type Level, type MovementLookup } from '../model/movement.js';
import { PostureError } from '../model/posture.js';
import type { Sequence } from '../model/sequence.js';
import { type EventPart, type Timeline, type TimelineEvent, WORK_EVENTS } from '../timeline/timeline.js';
import { type Hand, HANDS, otherHand } from '../vocabulary/hands.js';
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
}

/** What every group on each side is asked for over a timeline; neighbouring spans of one effort are one. */
export interface EffortTimeline {
  readonly spans: ReadonlyMap<SideGroup, readonly EffortSpan[]>;
  readonly durationMs: number;
  /** What each block asks, in the sequence's order; null where this body cannot take it. */
  readonly demands: readonly (Demand | null)[];
  /** Blocks that this body cannot take, with the reason: they ask for nothing here. */
  readonly impossible: readonly { blockId: string; message: string }[];
}

/**
 * Lays the demand of every block over the compiled timeline. A press is as hard as its dose says; everything else as hard as its load is
 * for this person. Work of both hands counts for each; rests and announcements ask for nothing.
 */
export function effortTimeline(
  person: Person,
  sequence: Sequence,
  timeline: Timeline,
  lookup: MovementLookup,
): EffortTimeline {
  const impossible: { blockId: string; message: string }[] = [];
  const asked = sequence.blocks.map((block) => {
    const movement = lookup(block.movementId);
    const level = movement && findLevel(movement, block.levelId);
    if (!level) return null;
    const first = askedOf(person, level, block.dose.effortPercent);
    if (typeof first !== 'string') return { ...first, turned: movement.directions?.[1] };
    impossible.push({ blockId: block.id, message: first });
    return null;
  });
  const writer = new SpanWriter();
  for (const event of timeline.events) {
    const block = asked[event.blockIndex];
    if (!block || !WORK_EVENTS.includes(event.kind)) continue;
    const efforts = block.second && event.direction === block.turned ? block.second : block.first;
    for (const hand of event.side === 'both' ? HANDS : [event.side]) writer.write(event, efforts[hand]);
    // The other hand stands beside it and bears its own share.
    if (event.side !== 'both') writer.write(event, block.beside?.[otherHand(event.side)] ?? []);
  }
  const { spans } = writer;
  const demands = asked.map((block) => block?.demand ?? null);
  return { spans, durationMs: timeline.durationMs, demands, impossible };
}

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
        if (name !== 'pause') lay(list, group, event.blockId, startMs, endMs, group.effort * share);
        startMs = endMs;
      }
    }
  }
}

function lay(
  list: GrowingSpan[],
  { effort, logSd }: GroupEffort,
  blockId: string,
  startMs: number,
  endMs: number,
  charged: number,
) {
  const last = list.at(-1);
  const goesOn = last?.endMs === startMs && last.effort === effort && last.charged === charged;
  if (goesOn && last.blockId === blockId) last.endMs = endMs;
  else list.push({ blockId, startMs, endMs, effort, charged, logSd });
}

/** What a level asks of a person: its demand, each group's effort, the efforts of its second direction where they are others, and the other hand's. */
interface Asked {
  readonly demand: Demand;
  readonly first: Efforts;
  readonly second: Efforts | null;
  readonly beside: Efforts | null;
}

/**
 * What was asked of whom already: an edit changes one block of thirty, and the others ask what they asked before. Keyed by identity, so that
 * nothing is kept of a person or a level that is gone.
 */
const known = new WeakMap<Person, WeakMap<Level, Map<number | undefined, Asked | string>>>();

/** What a level asks at an effort; why not, in words, where this body cannot take it. */
function askedOf(person: Person, level: Level, effortPercent: number | undefined): Asked | string {
  let ofPerson = known.get(person);
  if (!ofPerson) known.set(person, (ofPerson = new WeakMap()));
  let ofLevel = ofPerson.get(level);
  if (!ofLevel) ofPerson.set(level, (ofLevel = new Map<number | undefined, Asked | string>()));
  let asked = ofLevel.get(effortPercent);
  if (asked === undefined) ofLevel.set(effortPercent, (asked = computed(person, level, effortPercent)));
  return asked;
}

function computed(person: Person, level: Level, effortPercent: number | undefined): Asked | string {
  const dose = effortPercent === undefined ? {} : { effortPercent };
  try {
    const demand = demandOf(person, asDosed(level, dose));
    const turned = inSecondDirection(level);
    const second = turned === level ? null : groupEfforts(demandOf(person, asDosed(turned, dose)));
    return { demand, first: groupEfforts(demand), second, beside: demand.beside && groupEfforts(demand.beside) };
  } catch (error) {
    if (!(error instanceof PostureError) && !(error instanceof BodyError)) throw error;
    return error.message;
  }
}

/** The hardest effort of each muscle group. */
function groupEfforts(demand: Pick<Demand, Hand>): Efforts {
  const of = (hand: Hand) => {
    const most = new Map<SideGroup, GroupEffort>();
    // Hardest first: the first of a group stands.
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
