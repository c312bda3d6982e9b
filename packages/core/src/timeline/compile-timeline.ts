import { firstOf } from '../vocabulary/lists.js';
import { checkSequence, resolveBlock, SequenceError } from '../model/check-sequence.js';
import { amountOf, type Dose, type Tempo } from '../model/dose.js';
import { equipmentFor, type Level, type Movement, type MovementLookup } from '../model/movement.js';
import type { Block, Pacing, Sequence } from '../model/sequence.js';
import {
  type BlockSpan,
  AT_THE_START,
  type EventKind,
  type EventPart,
  milliseconds,
  moveTo,
  PAUSE_AFTER_HOLD_S,
  type Stint,
  type Timeline,
  type TimelineEvent,
  workedMs,
} from './timeline.js';
import { handsInTurn, type WorkingSide } from '../vocabulary/hands.js';

/** Pace of a repetition when neither dose nor level says: a second out, two back. */
export const USUAL_TEMPO: Tempo = { outS: 1, backS: 2 };

/**
 * Turns a sequence into timed events. Everything that needs a duration or an order reads this one result.
 *
 * Order inside a block: announce → get into position → for each set, each hand in turn, each direction: the work, with a
 * change of direction or of hands in between → rest after every set but the last, in which hands and direction change as well.
 * @throws SequenceError with every fault when the sequence is not sound.
 */
export function compileTimeline(sequence: Sequence, lookup: MovementLookup): Timeline {
  const faults = checkSequence(sequence, lookup);
  if (faults.length) throw new SequenceError(faults);
  const draft = new TimelineWriter();
  let whereabouts = AT_THE_START;
  sequence.blocks.forEach((block, blockIndex) => {
    const { movement, level } = resolveBlock(block, lookup);
    const { seconds, to } = moveTo(whereabouts, level.posture, equipmentFor(movement, level));
    draft.block(blockIndex, block, () => writeBlock(draft, block, movement, level, sequence.pacing, seconds));
    whereabouts = to;
  });
  return draft.timeline();
}

function writeBlock(
  draft: TimelineWriter,
  block: Block,
  movement: Movement,
  level: Level,
  pacing: Pacing,
  positionS: number,
) {
  const { dose } = block;
  const hands = dose.sides === 'alternating' ? (['both'] as const) : handsInTurn(dose.sides);
  const directions = directionsOf(movement, dose);
  draft.set = 1;
  draft.side = firstOf(hands);
  draft.direction = firstOf(directions);
  draft.event('announce', pacing.announceS);
  draft.event('position', positionS);
  for (let set = 1; set <= dose.sets; set++) {
    draft.set = set;
    hands.forEach((side, handIndex) => {
      directions.forEach((direction, directionIndex) => {
        draft.side = side;
        draft.direction = direction;
        if (directionIndex > 0) draft.event('change-direction', pacing.changeSidesS);
        else if (handIndex > 0) draft.event('change-sides', pacing.changeSidesS);
        draft.stint(dose, () => writeWork(draft, dose, movement, level, pacing));
      });
    });
    if (set < dose.sets) {
      draft.set = set + 1;
      draft.side = firstOf(hands);
      draft.direction = firstOf(directions);
      // Hands and direction change while one rests.
      const changes = hands.length > 1 || directions.length > 1;
      draft.event('rest', Math.max(dose.restS, changes ? pacing.changeSidesS : 0));
    }
  }
}

/** A movement without directions is worked once, in no named direction. */
function directionsOf(movement: Movement, dose: Dose): readonly (string | null)[] {
  if (!movement.directions) return [null];
  const [first, second] = movement.directions;
  if (dose.directions === 'first') return [first];
  return dose.directions === 'second' ? [second] : [first, second];
}

function writeWork(draft: TimelineWriter, dose: Dose, movement: Movement, level: Level, pacing: Pacing) {
  const { work } = dose;
  if (work.kind === 'time') {
    draft.event(movement.timed, work.seconds);
    return;
  }
  if (work.kind === 'breaths') {
    for (let breath = 1; breath <= work.count; breath++) {
      draft.parts('breath', breath, [
        { name: 'in', label: 'breathe in', durationMs: milliseconds(pacing.breathInS) },
        { name: 'out', label: 'breathe out', durationMs: milliseconds(pacing.breathOutS) },
      ]);
    }
    return;
  }
  const tempo = dose.tempo ?? level.dose.tempo ?? USUAL_TEMPO;
  const [outLabel, backLabel] = movement.strokes;
  const parts: EventPart[] = [
    { name: 'out', label: outLabel, durationMs: milliseconds(tempo.outS) },
    { name: 'hold', label: 'hold', durationMs: milliseconds(dose.holdS ?? 0) },
    { name: 'back', label: backLabel, durationMs: milliseconds(tempo.backS) },
  ];
  // A hand that waits for the other has its pause in that.
  const inTurn = dose.sides === 'alternating' ? handsInTurn(dose.sides) : [draft.side];
  const pauses = dose.holdS !== undefined && inTurn.length === 1;
  const pause: EventPart = { name: 'pause', label: 'let go', durationMs: milliseconds(PAUSE_AFTER_HOLD_S) };
  for (let repetition = 1; repetition <= work.count; repetition++) {
    for (const side of inTurn) {
      draft.side = side;
      draft.parts('repetition', repetition, pauses && repetition < work.count ? [...parts, pause] : parts);
    }
  }
}

/** Collects events while the clock runs; `side`, `set` and `direction` apply to whatever is written next. */
class TimelineWriter {
  side: WorkingSide = 'both';
  set = 1;
  direction: string | null = null;
  private clockMs = 0;
  private blockIndex = 0;
  private blockId = '';
  private stintIndex: number | null = null;
  private workMs = 0;
  private readonly events: TimelineEvent[] = [];
  private readonly stints: Stint[] = [];
  private readonly blocks: BlockSpan[] = [];

  block(blockIndex: number, { id, phase }: Block, write: () => void) {
    const startMs = this.clockMs;
    this.workMs = 0;
    this.blockIndex = blockIndex;
    this.blockId = id;
    write();
    this.blocks.push({ blockId: id, phase, startMs, endMs: this.clockMs, workMs: this.workMs });
  }

  stint(dose: Dose, write: () => void) {
    const { side, set, direction, blockIndex, blockId } = this;
    const startMs = this.clockMs;
    const firstEvent = this.events.length;
    this.stintIndex = this.stints.length;
    write();
    const unit = dose.work.kind === 'time' ? 'seconds' : dose.work.kind;
    const alternating = dose.sides === 'alternating';
    const lastEvent = this.events.length - 1;
    const span = { firstEvent, lastEvent, startMs, endMs: this.clockMs };
    const plannedAmount = amountOf(dose.work);
    const index = this.stintIndex;
    this.stints.push({ index, blockIndex, blockId, set, side, alternating, direction, unit, plannedAmount, ...span });
    this.stintIndex = null;
    this.side = side;
  }

  event(kind: EventKind, seconds: number) {
    if (seconds > 0) this.write(kind, null, [{ name: 'work', label: kind, durationMs: milliseconds(seconds) }]);
  }

  parts(kind: EventKind, repetition: number, parts: readonly EventPart[]) {
    const real = parts.filter((part) => part.durationMs > 0);
    this.write(kind, repetition, real);
  }

  private write(kind: EventKind, repetition: number | null, parts: readonly EventPart[]) {
    const durationMs = parts.reduce((sum, part) => sum + part.durationMs, 0);
    const { side, set, direction, blockIndex, blockId, stintIndex: stint, clockMs: startMs } = this;
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
      set,
      repetition,
    };
    this.events.push(event);
    this.clockMs += durationMs;
    if (stint !== null) this.workMs += workedMs(event);
  }

  timeline(): Timeline {
    return { events: this.events, stints: this.stints, blocks: this.blocks, durationMs: this.clockMs };
  }
}
