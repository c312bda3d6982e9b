import { amountOf, worksOf } from '../model/dose.js';
import { workOfHand } from '../model/work.js';
import type { Turn } from '../model/rounds.js';
import type { Block } from '../model/sequence.js';
import type { WorkingSide } from '../vocabulary/hands.js';
import { itemAt } from '../vocabulary/lists.js';
import type { LookStop } from '../vocabulary/rechecks.js';
import { UNIT_OF } from '../vocabulary/work.js';
import {
  blockSpansOf,
  type EventKind,
  type EventPart,
  milliseconds,
  type Stint,
  type Timeline,
  type TimelineEvent,
  type TurnSpan,
  workedMs,
} from './timeline.js';
import type { OneTurn } from './one-turn.js';

/** What is done next: the set, the hand and the direction that whatever is written leads to. */
interface Next {
  readonly set: number;
  readonly side: WorkingSide;
  readonly direction: string | null;
}

/** What only some events have. */
type Extra = Pick<TimelineEvent, 'untilConfirmed' | 'look' | 'beat' | 'calls'>;

/** Parts that take time. */
export const realParts = (parts: readonly EventPart[]): EventPart[] => parts.filter(({ durationMs }) => durationMs > 0);

/** Collects events while the clock runs; `side`, `set` and `direction` apply to whatever is written next. */
export class TimelineWriter {
  side: WorkingSide = 'both';
  private set = 1;
  private direction: string | null = null;
  private clockMs = 0;
  private now: Turn = { blockIndex: 0, round: 1 };
  private stintIndex: number | null = null;
  private workMs = 0;
  private open = false;
  private readonly events: TimelineEvent[] = [];
  private readonly stints: Stint[] = [];
  private readonly turns: TurnSpan[] = [];

  constructor(private readonly blocks: readonly Block[]) {}

  turn(turn: Turn, write: () => void) {
    const startMs = this.clockMs;
    this.workMs = 0;
    this.now = turn;
    write();
    const { id: blockId, phase } = itemAt(this.blocks, turn.blockIndex);
    this.turns.push({ ...turn, blockId, phase, startMs, endMs: this.clockMs, workMs: this.workMs });
  }

  leadTo({ set, side, direction }: Next) {
    this.set = set;
    this.side = side;
    this.direction = direction;
  }

  stint({ block, level, dose }: OneTurn, set: number, write: () => void) {
    const { side, direction } = this;
    const startMs = this.clockMs;
    const firstEvent = this.events.length;
    const index = this.stints.length;
    const work = workOfHand(itemAt(worksOf(dose), set - 1), side, dose.rightAmount);
    this.stintIndex = index;
    this.open = work.open !== undefined;
    write();
    this.open = false;
    const span = { firstEvent, lastEvent: this.events.length - 1, startMs, endMs: this.clockMs };
    this.stints.push({
      index,
      ...this.now,
      blockId: block.id,
      levelId: level.id,
      ...{ set, side, direction },
      alternating: dose.sides === 'alternating',
      unit: UNIT_OF[work.kind],
      plannedAmount: amountOf(work),
      open: work.open ?? null,
      ...(block.bonus && { bonus: block.bonus }),
      ...span,
    });
    this.stintIndex = null;
    this.side = side;
  }

  event(kind: EventKind, seconds: number, more: Partial<Extra> = {}) {
    if (seconds <= 0) return;
    this.write(kind, null, [{ name: 'work', label: kind, durationMs: milliseconds(seconds) }], { untilConfirmed: false, ...more });
  }

  look(look: LookStop, seconds: number) {
    const parts: EventPart[] = [{ name: 'work', label: 'look', durationMs: milliseconds(seconds) }];
    this.write('look', null, parts, { untilConfirmed: true, look });
  }

  parts(kind: EventKind, repetition: number, parts: readonly EventPart[], calls?: readonly string[]) {
    this.write(kind, repetition, realParts(parts), { untilConfirmed: false, ...(calls && { calls }) });
  }

  private write(kind: EventKind, repetition: number | null, parts: readonly EventPart[], { untilConfirmed, look, beat, calls }: Extra) {
    let durationMs = 0;
    for (const part of parts) durationMs += part.durationMs;
    const { side, set, direction, open, stintIndex: stint, clockMs: startMs } = this;
    const { blockIndex, round } = this.now;
    const { id: blockId } = itemAt(this.blocks, blockIndex);
    // Written out: thousands of events are made for a session, and spreading objects takes most of that time.
    const event: TimelineEvent = {
      kind,
      startMs,
      durationMs,
      parts,
      blockIndex,
      blockId,
      stint,
      side,
      direction,
      round,
      set,
      repetition,
      untilConfirmed: untilConfirmed,
      open,
      ...(look && { look }),
      ...(beat && { beat }),
      ...(calls && { calls }),
    };
    this.events.push(event);
    this.clockMs += durationMs;
    if (stint !== null) this.workMs += workedMs(event);
  }

  timeline(): Timeline {
    const { events, stints, turns, clockMs: durationMs } = this;
    const bonusMs = turns.reduce((sum, { blockIndex, startMs, endMs }) => sum + (this.blocks[blockIndex]?.bonus ? endMs - startMs : 0), 0);
    return { events, stints, turns, blocks: blockSpansOf(turns, this.blocks), durationMs, plannedMs: durationMs - bonusMs };
  }
}
