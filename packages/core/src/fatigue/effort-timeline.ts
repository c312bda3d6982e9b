import { MUSCLE_GROUPS, type MuscleGroup } from '../anatomy/motions.js';
import { type Hand, HANDS } from '../anatomy/sides.js';
import { asDosed, type Demand, demandOf, inSecondDirection } from '../capacity/demand.js';
import type { Person } from '../capacity/capacity.js';
import { WORK_EVENTS, type Timeline } from '../dose/timeline.js';
import { findLevel, type MovementLookup } from '../movement/movement.js';
import { BodyError } from '../posture/body.js';
import { PostureError } from '../posture/posture.js';
import type { Sequence } from '../sequence/sequence.js';
import { GROUP_OF } from './rates.js';

/** A muscle group on a side, as one word: the key that courses and doses are kept under. */
export type SideGroup = `${Hand} ${MuscleGroup}`;
export const SIDE_GROUPS = HANDS.flatMap((hand) => MUSCLE_GROUPS.map((group): SideGroup => `${hand} ${group}`));
export const partsOf = (key: SideGroup): { hand: Hand; group: MuscleGroup } => {
  const hand: Hand = key.startsWith('left') ? 'left' : 'right';
  return { hand, group: key.slice(hand.length + 1) as MuscleGroup };
};

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
  const demands = sequence.blocks.map((block) => {
    const movement = lookup(block.movementId);
    const level = movement && findLevel(movement, block.levelId);
    if (!level) return null;
    try {
      return demandOf(person, asDosed(level, block.dose));
    } catch (error) {
      if (!(error instanceof PostureError) && !(error instanceof BodyError)) throw error;
      impossible.push({ blockId: block.id, message: error.message });
      return null;
    }
  });
  const efforts = demands.map((demand) => demand && groupEfforts(demand));
  // What a movement's second direction asks, where that is something else.
  const seconds = sequence.blocks.map((block) => {
    const movement = lookup(block.movementId);
    const level = movement?.directions ? findLevel(movement, block.levelId) : undefined;
    const turned = level && inSecondDirection(level);
    if (!turned || turned === level) return null;
    return {
      direction: movement!.directions![1],
      efforts: groupEfforts(demandOf(person, asDosed(turned, block.dose))),
    };
  });
  const spans = new Map<SideGroup, EffortSpan[]>();
  for (const event of timeline.events) {
    if (!WORK_EVENTS.includes(event.kind)) continue;
    const second = seconds[event.blockIndex];
    const asked = second && second.direction === event.direction ? second.efforts : efforts[event.blockIndex];
    if (!asked) continue;
    const hands = event.side === 'both' ? HANDS : [event.side];
    for (const hand of hands) {
      for (const [group, effort] of asked[hand]) {
        const key: SideGroup = `${hand} ${group}`;
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
  return { spans, durationMs: timeline.durationMs, demands, impossible };
}

/** The hardest effort that each muscle group brings, as a share of its maximum. */
function groupEfforts(demand: Demand): Record<Hand, [MuscleGroup, number][]> {
  const of = (hand: Hand): [MuscleGroup, number][] => {
    const most = new Map<MuscleGroup, number>();
    for (const { action, effortPercent } of demand[hand].efforts) {
      const group = GROUP_OF[action];
      most.set(group, Math.max(most.get(group) ?? 0, effortPercent / 100));
    }
    return [...most].filter(([, effort]) => effort > 0);
  };
  return { left: of('left'), right: of('right') };
}
