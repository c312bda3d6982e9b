import {
  type Block,
  classFormName,
  type ClassMember,
  type ClassState,
  cuesFor,
  currentPart,
  type Level,
  type Movement,
  type MovementLookup,
  type Timeline,
  type TimelineEvent,
  turnOf,
  type WorkingSide,
} from '@clay-pot/core';
import type { ClassMoment } from '../../domain/session/class-moment.js';
import { bigNumber, type BigNumber, cueFor, wordsFor } from '../../domain/session/moment-words.js';
import type { ClassRun } from '../../store/class-run.js';
import { methodFor } from '../../store/library.js';

/** What a class does this moment, as every one of its screens shows it. */
export interface ClassNow {
  readonly event: TimelineEvent;
  readonly block: Block;
  readonly movement: Movement;
  readonly level: Level;
  readonly side: WorkingSide;
  readonly number: BigNumber;
  /** Hold, rest, lift: what to do. */
  readonly what: string;
  readonly cue: string;
  /** The block after this one; null for the last. */
  readonly next: string | null;
}

/** What is on screen; null when the class is over. */
export function classNowOf({ session }: Pick<ClassRun, 'session'>, { state, timeline, lookup }: ClassMoment): ClassNow | null {
  const { sequence } = session;
  const event = timeline.events[state.head.event];
  if (!event || state.endedMs !== null) return null;
  const { block, movement, level } = turnOf(sequence, event, lookup);
  const { part } = currentPart(event, state.head);
  return {
    event,
    block,
    movement,
    level,
    side: event.stint === null ? 'both' : event.side,
    number: bigNumber(timeline, event, state.head),
    what: wordsFor(sequence, event, level, part.label),
    cue: cueFor(movement, cuesFor(movement, level, methodFor(sequence)), event),
    next: nextName(timeline, event, session.sequence.blocks, lookup),
  };
}

function nextName(
  timeline: Timeline,
  { blockIndex, round }: TimelineEvent,
  blocks: readonly Block[],
  lookup: MovementLookup,
): string | null {
  const now = timeline.turns.findIndex((turn) => turn.blockIndex === blockIndex && turn.round === round);
  const next = timeline.turns[now + 1];
  const block = next && blocks[next.blockIndex];
  return block ? (lookup(block.movementId)?.name ?? block.movementId) : null;
}

/** Who does something else in a block, as a screen that is read from far shows it. */
export function othersIn(
  members: readonly ClassMember[],
  state: ClassState,
  block: Block,
  lookup: MovementLookup,
): { id: string; name: string; does: string }[] {
  return members.flatMap(({ id, name, blocks }) => {
    const now = state.members.get(id);
    if (!now?.here) return [];
    const at = now.forms[block.id] ?? -1;
    const form = blocks.find(({ blockId }) => blockId === block.id)?.forms[at];
    if (at >= 0 && form === null) return [];
    return [{ id, name, does: form ? classFormName(block, form, lookup) : 'Rest' }];
  });
}
