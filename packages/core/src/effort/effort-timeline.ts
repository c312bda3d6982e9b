import type { Person } from '../mechanics/capacity.js';
import type { Demand } from '../mechanics/demand.js';
import type { MovementLookup } from '../model/movement.js';
import { turnKey, turnsOf } from '../model/rounds.js';
import type { Sequence } from '../model/sequence.js';
import { turnOf } from '../timeline/compile-timeline.js';
import { type EventPart, type Timeline, type TimelineEvent, WORK_EVENTS } from '../timeline/timeline.js';
import { HANDS, otherHand } from '../vocabulary/hands.js';
import { itemAt } from '../vocabulary/lists.js';
import type { SideGroup } from '../vocabulary/muscles.js';
import { type BlockForm, type GroupEffort, type TurnWork, hardest, workOfTurn } from './turn-work.js';

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

/** Of two rounds of a block the one that asks more. */
const harder = (a: Demand | null, b: Demand): Demand => (a && hardest(a) >= hardest(b) ? a : b);

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
