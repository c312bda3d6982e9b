import { studioLibrary } from '../../store/library.js';
import { readable } from '../measuring/units.js';
import {
  type Block,
  amountOf,
  capital,
  countdown,
  currentPart,
  type Dose,
  effortMeans,
  HAND_WORDS,
  itemAt,
  type Level,
  type Movement,
  type Playhead,
  ownLoadWords,
  percentWords,
  roundOf,
  setCount,
  type Sequence,
  type Stint,
  type Timeline,
  type TimelineEvent,
  doneOf,
  stepsOver,
  UNIT_BEHIND,
  UNIT_OF,
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
  if (part.name === 'pause' && !event.beat) return { text: countdown(leftMs), of: null };
  if (!stint) return { text: countdown(leftMs), of: null };
  const most = stint.open ? `at most ${stint.plannedAmount}` : `of ${stint.plannedAmount}`;
  const unit = UNIT_BEHIND[stint.unit];
  if (stint.unit === 'repetitions' || stint.unit === 'breaths') return { text: String(event.repetition), of: most };
  if (stint.unit === 'metres') {
    const metres = doneOf(timeline, stint, head)[0]?.amount ?? 0;
    return { text: String(metres), of: `${most}${unit}` };
  }
  if (stint.open) return { text: String(Math.floor(head.elapsedMs / 1000)), of: `${most}${unit}` };
  return { text: countdown(event.durationMs + head.addedMs - head.elapsedMs), of: null };
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
      if (event.beat) return partLabel;
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
    ...ownLoadWords(dose, studioLibrary().grades).map((part) => `${capital(readable(part))}.`),
    foundKg === null && dose.effortPercent !== undefined && EFFORT[effortMeans(level) ?? 'pressed'](percentWords(dose)),
    goalIn(dose),
  ];
  return parts.filter(Boolean).join(' ');
}

const EFFORT = {
  pressed: (percent: string) => `${percent} of maximum.`,
  kept: (percent: string) => `Keep the grip at ${percent} of maximum throughout.`,
  pushed: (percent: string) => `Push back at ${percent} of maximum.`,
  'finds the load': (percent: string) => `Use a load that takes ${percent} of maximum.`,
} as const;

/** The range of a set and what it is to become. */
function goalIn({ work, goal }: Dose): string | false {
  const range = work.upTo !== undefined && `Up to ${work.upTo}${UNIT_BEHIND[UNIT_OF[work.kind]]}.`;
  const to = goal !== undefined && goal > amountOf(work) && `Goal: ${goal}${UNIT_BEHIND[UNIT_OF[work.kind]]}.`;
  return [range, to].filter(Boolean).join(' ') || false;
}

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
  // A finger that is called says more than the count.
  const isCalled = event.calls !== undefined || partLabel.includes(': ');
  if (event.kind === 'repetition' && !isCalled) return `${HAND_WORDS[event.side]}, ${event.repetition}`;
  if (isCalled || event.kind === 'breath' || event.beat) return partLabel;
  return `${wordsFor(sequence, event, level, partLabel)}, ${HAND_WORDS[event.side]}`;
}

/** The block that an event is of. */
export const blockAt = ({ blocks }: Sequence, { blockIndex }: TimelineEvent): Block => itemAt(blocks, blockIndex);
