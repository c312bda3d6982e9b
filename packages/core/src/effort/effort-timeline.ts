import type { Person } from '../mechanics/capacity.js';
import { asDosed, type Demand, demandOf, inSecondDirection } from '../mechanics/demand.js';
import { BodyError } from '../model/body.js';
import { findLevel, type Level, type MovementLookup } from '../model/movement.js';
import { PostureError } from '../model/posture.js';
import type { Sequence } from '../model/sequence.js';
import { type Timeline, WORK_EVENTS } from '../timeline/timeline.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { GROUP_OF, type SideGroup } from '../vocabulary/muscles.js';

/** A stretch of time in which one group on one side works at a constant effort. */
export interface EffortSpan {
  readonly blockId: string;
  readonly startMs: number;
  readonly endMs: number;
  /** Share of the rested maximum; above 1 the demand is more than there is. */
  readonly effort: number;
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
  const spans = new Map<SideGroup, EffortSpan[]>();
  for (const event of timeline.events) {
    const block = asked[event.blockIndex];
    if (!block || !WORK_EVENTS.includes(event.kind)) continue;
    const efforts = block.second && event.direction === block.turned ? block.second : block.first;
    const hands = event.side === 'both' ? HANDS : [event.side];
    for (const hand of hands) {
      for (const [key, effort] of efforts[hand]) {
        const list = spans.get(key) ?? [];
        if (list.length === 0) spans.set(key, list);
        const last = list.at(-1);
        const endMs = event.startMs + event.durationMs;
        if (last && last.endMs === event.startMs && last.effort === effort && last.blockId === event.blockId) {
          list[list.length - 1] = { ...last, endMs };
        } else list.push({ blockId: event.blockId, startMs: event.startMs, endMs, effort });
      }
    }
  }
  const demands = asked.map((block) => block?.demand ?? null);
  return { spans, durationMs: timeline.durationMs, demands, impossible };
}

type Efforts = Record<Hand, readonly (readonly [SideGroup, number])[]>;

/** What a level asks of a person: its demand, each group's effort, and the efforts of its second direction where they are others. */
interface Asked {
  readonly demand: Demand;
  readonly first: Efforts;
  readonly second: Efforts | null;
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
    return { demand, first: groupEfforts(demand), second };
  } catch (error) {
    if (!(error instanceof PostureError) && !(error instanceof BodyError)) throw error;
    return error.message;
  }
}

/** The hardest effort that each muscle group brings, as a share of its maximum. */
function groupEfforts(demand: Demand): Efforts {
  const of = (hand: Hand) => {
    const most = new Map<SideGroup, number>();
    for (const { action, effortPercent } of demand[hand].efforts) {
      const key: SideGroup = `${hand} ${GROUP_OF[action]}`;
      most.set(key, Math.max(most.get(key) ?? 0, effortPercent / 100));
    }
    return [...most].filter(([, effort]) => effort > 0);
  };
  return { left: of('left'), right: of('right') };
}
