import { amountOf, withAmount, type Work } from '../../model/dose.js';
import { type Block, type Sequence, USUAL_PACING } from '../../model/sequence.js';
import type { Level, Movement } from '../../model/movement.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import type { EventPart, TimelineEvent } from '../../timeline/timeline.js';
import { FINGER_NAMES } from '../../vocabulary/hand-joints.js';
import type { Hand } from '../../vocabulary/hands.js';
import type { Beat } from './course.js';

/** What the hand does at a moment of the count, and which hand. */
export interface HandNow {
  readonly beat: Beat;
  readonly side: Hand;
}

/** How long one takes into a hold and out of it, at most, and of its length. */
const INTO_HOLD = { mostMs: 1400, share: 0.25 };
/** A way out and back where neither load nor tempo says how long it takes, seconds. */
const USUAL_CYCLE_S = 4;
/** How far a stretch is let go on the in-breath, of its way. */
const BREATH_EASES = 0.12;

/** Starts and ends softly, as hands do. */
const easing = (share: number): number => {
  const s = Math.min(1, Math.max(0, share));
  return s * s * (3 - 2 * s);
};

/** The moment of the movement that the clock is in: what the count says is what the hand does. */
export function handNow(movement: Movement, level: Level, event: TimelineEvent, elapsedMs: number): HandNow {
  const second = movement.directions?.[1];
  // “palm up, forward”: the direction stands last.
  const reverses = second !== undefined && event.direction?.split(', ').at(-1) === second;
  const { phase, turn } = withPosition(movement, event, beatIn(level, event, elapsedMs));
  const side = event.side === 'right' ? 'right' : 'left';
  return { side, beat: reverses ? { phase: 2 - phase, turn: 3 - (turn % 4) } : { phase, turn } };
}

/** Where each set goes finger by finger, the finger that is called has its turn. */
function withPosition({ positions = [] }: Movement, { direction }: TimelineEvent, beat: Beat): Beat {
  const name = direction?.split(', ')[0];
  const finger = positions.find((position) => position.name === name)?.digits?.find((digit) => digit !== 'thumb');
  return finger ? { ...beat, turn: FINGER_NAMES.indexOf(finger) } : beat;
}

function beatIn(level: Level, event: TimelineEvent, elapsedMs: number): Beat {
  const turn = (event.repetition ?? 1) - 1;
  switch (event.kind) {
    case 'repetition':
      return { turn, phase: phaseOfRepetition(event, elapsedMs) };
    case 'hold': {
      const edge = Math.min(INTO_HOLD.mostMs, event.durationMs * INTO_HOLD.share);
      const left = event.durationMs - elapsedMs;
      return {
        turn: 0,
        phase: elapsedMs < edge ? easing(elapsedMs / edge) : left < edge ? 2 - easing(left / edge) : 1,
      };
    }
    case 'breath': {
      const [first] = event.parts;
      const inMs = first?.durationMs ?? event.durationMs;
      const eased = elapsedMs < inMs ? easing(elapsedMs / inMs) : 1 - easing((elapsedMs - inMs) / Math.max(1, event.durationMs - inMs));
      return { turn: 0, phase: 1 - BREATH_EASES * eased };
    }
    case 'bout': {
      const { beat } = event;
      if (beat) return inBeat(beat, elapsedMs);
      const cycleMs = cycleOf(level) * 1000;
      const way = elapsedMs / cycleMs;
      return { turn: Math.floor(way), phase: softly(way % 1) };
    }
    default:
      // What comes next, ready to begin.
      return { turn: 0, phase: 0 };
  }
}

/** What is called is what the hand does: the beat’s own strokes, over and over. */
function inBeat(parts: readonly EventPart[], elapsedMs: number): Beat {
  const beatMs = parts.reduce((sum, { durationMs }) => sum + durationMs, 0);
  // A beat may hold one repetition of each finger.
  const cycles = Math.max(1, parts.filter(({ name }) => name === 'out').length);
  const cycleMs = beatMs / cycles;
  return {
    turn: Math.floor(elapsedMs / cycleMs),
    phase: phaseOfRepetition({ parts: parts.slice(0, parts.length / cycles) }, elapsedMs % cycleMs),
  };
}

/** Out and back within a cycle, slower at both ends. */
const softly = (share: number) => (share < 0.5 ? easing(share * 2) : 1 + easing(share * 2 - 1));

/** Seconds of one way out and back when it is done for time. */
function cycleOf({ load, dose }: Level): number {
  if (load.kind === 'move') return 60 / load.perMinute;
  return dose.tempo ? dose.tempo.outS + dose.tempo.backS : USUAL_CYCLE_S;
}

function phaseOfRepetition({ parts }: Pick<TimelineEvent, 'parts'>, elapsedMs: number): number {
  let from = 0;
  for (const { name, durationMs } of parts) {
    const share = durationMs > 0 ? (elapsedMs - from) / durationMs : 1;
    if (share < 1) {
      if (name === 'out') return easing(share);
      if (name === 'back') return 1 + easing(share);
      return name === 'hold' ? 1 : 2;
    }
    from += durationMs;
  }
  return 2;
}

/** How much of a level is shown as an example: enough to see it once for each finger, and a short hold. */
const EXAMPLE = { repetitions: 4, boutS: 12, holdS: 7, breaths: 2, metres: 10 };

function exampleAmount({ timed }: Movement, { kind }: Work): number {
  if (kind === 'repetitions' || kind === 'breaths') return EXAMPLE[kind];
  if (kind === 'distance') return EXAMPLE.metres;
  return timed === 'hold' ? EXAMPLE.holdS : EXAMPLE.boutS;
}

/** A level's usual dose cut to an example, on the clock: its work alone, one hand after the other as the dose has them. */
export function exampleOf(movement: Movement, level: Level): readonly TimelineEvent[] {
  const { dose } = level;
  const { then: _then, rightAmount: _right, goal: _goal, work, ...rest } = dose;
  const short = withAmount(work, Math.min(amountOf(work), exampleAmount(movement, work)));
  const block: Block = {
    id: 'example',
    movementId: movement.id,
    levelId: level.id,
    phase: 'prepare',
    dose: { ...rest, sets: 1, work: short },
  };
  const sequence: Sequence = { title: movement.name, purpose: '', budgetMin: 1, pacing: USUAL_PACING, blocks: [block] };
  const timeline = compileTimeline(sequence, (id) => (id === movement.id ? movement : undefined));
  return timeline.events.filter(({ stint }) => stint !== null);
}

/** What the hand of an example does after so many milliseconds, over and over. */
export function exampleNow(movement: Movement, level: Level, work: readonly TimelineEvent[], atMs: number): HandNow {
  const lengthMs = work.reduce((sum, { durationMs }) => sum + durationMs, 0);
  let left = lengthMs > 0 ? atMs % lengthMs : 0;
  for (const event of work) {
    if (left < event.durationMs) return handNow(movement, level, event, left);
    left -= event.durationMs;
  }
  return { side: 'left', beat: { phase: 0, turn: 0 } };
}
