import { readable } from '../../domain/measuring/units.js';
import {
  type Block,
  capital,
  countdown,
  currentPart,
  effortMeans,
  HAND_WORDS,
  itemAt,
  type Level,
  type Movement,
  type Playhead,
  ownLoadWords,
  roundOf,
  setCount,
  type Sequence,
  type Stint,
  type Timeline,
  type TimelineEvent,
  doneOf,
  stepsOver,
  UNIT_BEHIND,
} from '@clay-pot/core';

/** The large number, and its total. */
export interface BigNumber {
  readonly text: string;
  readonly of: string | null;
}

/** The count, the time that is left, or, where nobody knows the end, how far it has come. */
export function bigNumber(timeline: Timeline, event: TimelineEvent, head: Playhead): BigNumber {
  const { part, leftMs } = currentPart(event, head);
  const stint = event.stint === null ? undefined : timeline.stints[event.stint];
  if (event.kind === 'look') return { text: '?', of: null };
  // The pause between two repetitions counts down by itself.
  if (part.name === 'pause') return { text: countdown(leftMs), of: null };
  if (!stint) return { text: countdown(leftMs), of: null };
  const most = stint.open ? `at most ${stint.plannedAmount}` : `of ${stint.plannedAmount}`;
  const unit = UNIT_BEHIND[stint.unit];
  if (stint.unit === 'repetitions' || stint.unit === 'breaths') return { text: String(event.repetition), of: most };
  if (stint.unit === 'metres') {
    const metres = doneOf(timeline, stint, head)[0]?.amount ?? 0;
    return { text: String(metres), of: `${most}${unit}` };
  }
  return stint.open ? { text: String(Math.floor(head.elapsedMs / 1000)), of: `${most}${unit}` } : { text: countdown(leftMs), of: null };
}

/** What to do at a moment, in a word or two. */
export function wordsFor(sequence: Sequence, event: TimelineEvent, level: Level, partLabel: string): string {
  switch (event.kind) {
    case 'round-rest':
      return `rest before round ${event.round} of ${roundOf(sequence, event.blockId)?.times ?? event.round}`;
    case 'position':
      return `get into place: ${level.posture}`;
    case 'change-sides':
      return `change to the ${HAND_WORDS[event.side]}`;
    case 'change-direction':
      return event.direction ?? 'other direction';
    case 'hold':
    case 'bout':
      return event.untilConfirmed ? 'walk' : PLAIN[event.kind];
    case 'repetition':
    case 'breath':
      return partLabel;
    default:
      return PLAIN[event.kind];
  }
}

/** What is always called the same. */
const PLAIN = {
  ready: 'get ready',
  break: 'break',
  announce: 'coming up',
  rest: 'rest',
  look: 'recheck',
  hold: 'hold',
  bout: 'keep moving',
} as const;

/** Round, set, direction and effort of what is being done, as far as they are worth telling. */
export function whichSet(sequence: Sequence, block: Block, level: Level, event: TimelineEvent, foundKg: number | null): string {
  const { set, direction, round } = event;
  const { dose } = block;
  const sets = setCount(dose);
  const times = roundOf(sequence, block.id)?.times;
  const parts = [
    times && `Round ${round} of ${times}.`,
    sets > 1 && `Set ${set} of ${sets}.`,
    direction && `${capital(direction)}.`,
    foundKg !== null && `${Number(foundKg.toFixed(2))} kg.`,
    ...ownLoadWords(dose).map((part) => `${capital(readable(part))}.`),
    foundKg === null && dose.effortPercent !== undefined && EFFORT[effortMeans(level) ?? 'pressed'](dose.effortPercent),
  ];
  return parts.filter(Boolean).join(' ');
}

const EFFORT = {
  pressed: (percent: number) => `${percent} % of maximum.`,
  kept: (percent: number) => `Keep the grip at ${percent} % of maximum throughout.`,
  pushed: (percent: number) => `Push back at ${percent} % of maximum.`,
  'finds the load': (percent: number) => `Use a load that takes ${percent} % of maximum.`,
} as const;

/** How an open set or a distance ends, as a button says it; null where it ends by itself. */
export function endWords(stint: Stint | undefined, event: TimelineEvent, level: Level): string | null {
  if (event.kind === 'look') return null;
  if (!stint) return null;
  if (stint.open === 'ease') return 'It has eased';
  if (stint.open === 'form') return stint.unit === 'repetitions' ? 'That was the last clean one' : 'Form failed: stop';
  if (!event.untilConfirmed) return null;
  const steps = stepsOver(stint.plannedAmount, level);
  return `Done: ${stint.plannedAmount} m${steps === null ? '' : `, some ${steps} steps`}`;
}

/** While getting ready: how to. While working: one thing to watch, changing from set to set. */
export function cueFor(movement: Movement, cues: readonly string[], event: TimelineEvent): string {
  if (event.stint === null) return movement.howTo[0] ?? '';
  return cues[(event.set + (event.side === 'right' ? 1 : 0)) % cues.length] ?? '';
}

/** What is said aloud when something changes. */
export function spoken(sequence: Sequence, event: TimelineEvent, name: string, level: Level, partLabel: string): string {
  if (event.kind === 'announce') return `Next: ${name}, ${level.name}`;
  if (event.kind === 'repetition') return `${HAND_WORDS[event.side]}, ${event.repetition}`;
  if (event.kind === 'breath') return partLabel;
  return `${wordsFor(sequence, event, level, partLabel)}, ${HAND_WORDS[event.side]}`;
}

/** The block that an event is of. */
export const blockAt = ({ blocks }: Sequence, { blockIndex }: TimelineEvent): Block => itemAt(blocks, blockIndex);
