import { resolveBlock } from '../../model/check-sequence.js';
import type { Level, Movement, MovementLookup } from '../../model/movement.js';
import type { Sequence } from '../../model/sequence.js';
import type { Timeline, TimelineEvent } from '../../timeline/timeline.js';
import { HAND_WORDS } from '../../vocabulary/hands.js';
import { itemAt } from '../../vocabulary/lists.js';
import { capital } from '../../vocabulary/text.js';
import { fittedTogether, type Wish } from './fit-speech.js';
import type { Utterance } from './utterance.js';

/** What a voice knows of a studio. */
export interface VoiceSubject {
  readonly lookup: MovementLookup;
  /** What a movement is called aloud: the studio’s own name where it has one. */
  readonly nameOf: (movement: Movement) => string;
  /** What there is to mind of a level, by the method of the sequence. */
  readonly cuesOf: (movement: Movement, level: Level) => readonly string[];
}

/** Repetitions that follow each other more quickly are counted by fives. */
const QUICK_MS = 900;
/** A word beside the count needs this much of a repetition. */
const SLOW_MS = 2500;
/** Shorter rests have no countdown. */
const COUNTED_DOWN_MS = 4500;
const COUNTDOWN = [3, 2, 1] as const;
/** Long holds are told when so much is left. */
const TEN_LEFT_MS = 10_000;
const LONG_MS = 24_000;
/** A cue comes once somebody is in place. */
const CUE_AFTER_MS = 2500;

/**
 * What is said during a session, each at its moment: counts on their beat, names so early that they are over when the work begins, cues where there is time.
 * Nothing is said over anything else: what has no room is left out, the least important first.
 * @returns in the order in which they begin
 */
export function voiceScript(sequence: Sequence, timeline: Timeline, subject: VoiceSubject): Utterance[] {
  const wishes = timeline.events.flatMap((event, index): Wish[] => {
    const { movement, level } = resolveBlock(itemAt(sequence.blocks, event.blockIndex), subject.lookup);
    const next = timeline.events[index + 1];
    return wishesOf({ event, index, next, movement, level, subject });
  });
  return fittedTogether(timeline, wishes);
}

interface Seen {
  readonly event: TimelineEvent;
  readonly index: number;
  readonly next: TimelineEvent | undefined;
  readonly movement: Movement;
  readonly level: Level;
  readonly subject: VoiceSubject;
}

function wishesOf(seen: Seen): Wish[] {
  const { event } = seen;
  switch (event.kind) {
    case 'repetition':
      return repetition(seen);
    case 'breath':
      return partWords(seen, 0);
    case 'hold':
    case 'bout':
      return timed(seen);
    default:
      return [...beforeWork(seen), ...countdown(seen)];
  }
}

/** What leads to work, or rests from it. */
function beforeWork(seen: Seen): Wish[] {
  const { event, level } = seen;
  switch (event.kind) {
    case 'announce':
      return [nameOf(seen)];
    case 'position':
      return [word(seen, `Get into place: ${level.posture}`)];
    case 'change-sides':
      return [{ ...atStart(seen, 'side', `Change hands. ${capital(HAND_WORDS[event.side])}`), shorter: ['Change hands'] }];
    case 'change-direction':
      return event.direction ? [atStart(seen, 'side', capital(event.direction))] : [];
    case 'ready':
      return [word(seen, 'Get ready')];
    case 'look':
      return [word(seen, 'Stop and compare your hands')];
    default:
      return [word(seen, event.kind === 'break' ? 'Break' : 'Rest'), ...cue(seen)];
  }
}

type Simple = Pick<Wish, 'kind' | 'text' | 'event' | 'from' | 'offsetMs' | 'latestMs'>;
const atStart = ({ index }: Seen, kind: Wish['kind'], text: string, offsetMs = 0): Simple => ({
  kind,
  text,
  event: index,
  from: 'start',
  offsetMs,
  latestMs: 0,
});
const word = (seen: Seen, text: string): Wish => atStart(seen, 'word', text);

/** The name is over when the work begins: a long one begins in the rest before. With less time the level is left out. */
function nameOf(seen: Seen): Wish {
  const { event, movement, level, subject } = seen;
  const name = subject.nameOf(movement);
  const hand = event.side === 'both' ? '' : `. ${capital(HAND_WORDS[event.side])}`;
  return {
    ...atStart(seen, 'name', `${name}, ${level.name}${hand}`),
    shorter: [`${name}${hand}`, name],
    mayBeginEarlier: true,
  };
}

/** Three, two, one before work begins, however long it is waited for. */
function countdown({ event, index, next }: Seen): Wish[] {
  if (!next || next.stint === null || event.durationMs < COUNTED_DOWN_MS) return [];
  return COUNTDOWN.map((left): Wish => ({
    kind: 'countdown',
    text: String(left),
    event: index,
    from: 'end',
    offsetMs: left * 1000,
    latestMs: 0,
  }));
}

function cue(seen: Seen): Wish[] {
  const { event, movement, level, subject } = seen;
  const cues = subject.cuesOf(movement, level);
  const text = cues[(event.set + (event.side === 'right' ? 1 : 0)) % Math.max(1, cues.length)];
  if (text === undefined) return [];
  return [
    {
      ...atStart(seen, 'cue', capital(text), Math.min(CUE_AFTER_MS, event.durationMs / 3)),
      latestMs: Math.max(0, event.durationMs - CUE_AFTER_MS),
    },
  ];
}

function repetition(seen: Seen): Wish[] {
  const { event, index } = seen;
  const number = event.repetition ?? 0;
  if (event.durationMs < QUICK_MS && number % 5 !== 0) return [];
  const count: Wish = { kind: 'count', text: String(number), event: index, from: 'start', offsetMs: 0, latestMs: 0 };
  return [count, ...(event.durationMs >= SLOW_MS ? partWords(seen, 1) : [])];
}

/** “Lift”, “lower”, “breathe in”: at the start of their parts. @param fromPart the parts before it have the count */
function partWords(seen: Seen, fromPart: number): Wish[] {
  let atMs = 0;
  return seen.event.parts.flatMap(({ label, name, durationMs }, part): Wish[] => {
    const startMs = atMs;
    atMs += durationMs;
    return part < fromPart || name === 'pause' || label === '' ? [] : [atStart(seen, 'word', capital(label), startMs)];
  });
}

function timed(seen: Seen): Wish[] {
  const { event, index } = seen;
  const start = word(seen, event.kind === 'hold' ? 'Hold' : 'Go');
  if (event.untilConfirmed) return [start];
  const left = (ms: number): Wish => ({ kind: 'countdown', text: String(ms / 1000), event: index, from: 'end', offsetMs: ms, latestMs: 0 });
  return [
    start,
    ...cue(seen),
    ...(event.durationMs >= LONG_MS ? [left(TEN_LEFT_MS)] : []),
    ...(event.durationMs >= COUNTED_DOWN_MS ? COUNTDOWN.map((seconds) => left(seconds * 1000)) : []),
  ];
}
