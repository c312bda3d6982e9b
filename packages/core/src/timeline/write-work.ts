import { CARRY_PACE_M_PER_S, rollerWork } from '../mechanics/external-load.js';
import { holdOfSet, type Tempo, worksOf } from '../model/dose.js';
import type { Level, Movement } from '../model/movement.js';
import { quicker, quickerInSet } from '../model/pace.js';
import { workOfHand } from '../model/work.js';
import { working } from '../vocabulary/constant.js';
import { handsInTurn, type WorkingSide } from '../vocabulary/hands.js';
import { itemAt } from '../vocabulary/lists.js';
import type { OneTurn } from './one-turn.js';
import { realParts, type TimelineWriter } from './timeline-writer.js';
import type { Way } from './ways.js';
import { type EventPart, HAND_WALK_M_PER_S, milliseconds, PAUSE_AFTER_HOLD_S, STEP_M } from './timeline.js';

/** Pace of a repetition when neither dose nor level says: a second out, two back. */
export const USUAL_TEMPO: Tempo = { outS: 1, backS: 2 };

/** Seconds for a distance: a walk for carried things, a far slower pace for a body on its hands. */
export const distanceS = (metres: number, { load }: Pick<Level, 'load'>) =>
  metres / (load.kind === 'body' ? HAND_WALK_M_PER_S : CARRY_PACE_M_PER_S);

/** Steps that carry somebody over a distance; null for a body that walks on its hands. @example stepsOver(35, { load: { kind: "fixed" } }) → 50 */
export const stepsOver = (metres: number, { load }: Pick<Level, 'load'>): number | null =>
  load.kind === 'body' ? null : Math.round(metres / STEP_M);

/** What is worked next: which set, which hand, which way. */
interface Piece {
  readonly set: number;
  readonly side: WorkingSide;
  readonly way: Way;
}

/** The work of one set for one hand in one way. */
export function writeWork(draft: TimelineWriter, one: OneTurn, piece: Piece): void {
  const { dose, movement, level, pacing } = one;
  const work = workOfHand(itemAt(worksOf(dose), piece.set - 1), piece.side, dose.rightAmount);
  const calls = callsIn(movement, piece.way);
  switch (work.kind) {
    case 'time': {
      // A stretch that pushes against the helper goes by the breath also when it is timed.
      const beat = pushesIn(level) ? breathParts(level, pacing) : movement.timed === 'bout' ? beatOf(one, piece.set) : null;
      draft.event(movement.timed, work.seconds, beat ? inBeat(beat, calls) : {});
      return;
    }
    case 'distance':
      draft.event(movement.timed, distanceS(work.metres, level), { untilConfirmed: true });
      return;
    case 'breaths':
      for (let breath = 1; breath <= work.count; breath++) {
        draft.parts('breath', breath, breathParts(level, pacing));
      }
      return;
    case 'repetitions':
      writeRepetitions(draft, one, piece.set, work.count, calls);
  }
}

/** What a repetition goes through; the other way round in the second direction. */
function callsIn({ calls }: Pick<Movement, 'calls'>, { isSecond }: Way): Calls | undefined {
  return calls && isSecond ? { ...calls, names: calls.names.toReversed() } : calls;
}
type Calls = NonNullable<Movement['calls']>;

/** Names that are all called within one repetition. */
const within = (calls: Calls | undefined): readonly string[] | undefined =>
  calls?.each === 'within a repetition' ? calls.names : undefined;
/** Names of which each repetition has one. */
const inTurnOf = (calls: Calls | undefined): readonly string[] => (calls?.each === 'one a repetition' ? calls.names : []);

/** A repetition’s strokes with the finger whose turn it is called on the way out. */
function strokesCalled(strokes: readonly EventPart[], names: readonly string[], repetition: number): readonly EventPart[] {
  if (names.length === 0) return strokes;
  const label = itemAt(names, (repetition - 1) % names.length);
  return strokes.map((part) => (part.name === 'out' ? { ...part, label: `${label}: ${part.label}` } : part));
}

const pushesIn = ({ load }: Level): boolean => load.kind === 'stretch' && load.pushPercent > 0;

/** A breath of a stretch that pushes says so: push on the way in, ease further on the way out. */
function breathParts(level: Level, { breathInS, breathOutS }: OneTurn['pacing']): EventPart[] {
  const pushes = pushesIn(level);
  return [
    { name: 'in', label: pushes ? 'breathe in and push' : 'breathe in', durationMs: milliseconds(breathInS) },
    { name: 'out', label: pushes ? 'breathe out and ease further' : 'breathe out', durationMs: milliseconds(breathOutS) },
  ];
}

function writeRepetitions(draft: TimelineWriter, one: OneTurn, set: number, count: number, calls: Calls | undefined) {
  const { dose } = one;
  const holdS = holdOfSet(dose, set);
  const parts = strokesOf(one, tempoOf(one, set), holdS ?? 0);
  const inTurn = dose.sides === 'alternating' ? handsInTurn(dose.sides) : [draft.side];
  // A hand that waits for the other has its pause in that, unless one is asked for.
  const pauseS = dose.pauseS ?? (holdS !== undefined && inTurn.length === 1 ? PAUSE_AFTER_HOLD_S : 0);
  const pause: EventPart = { name: 'pause', label: 'let go', durationMs: milliseconds(pauseS) };
  for (let repetition = 1; repetition <= count; repetition++) {
    inTurn.forEach((side, index) => {
      draft.side = side;
      const isLast = repetition === count && index === inTurn.length - 1;
      const pauses = pauseS > 0 && !isLast && index === inTurn.length - 1;
      const called = strokesCalled(parts, inTurnOf(calls), repetition);
      draft.parts('repetition', repetition, pauses ? [...called, pause] : called, within(calls));
    });
  }
}

/** What goes on for a time, with its beat: once through all fingers where each has one repetition. */
function inBeat(beat: readonly EventPart[], calls: Calls | undefined) {
  const inTurn = inTurnOf(calls);
  const all = within(calls);
  return {
    beat: inTurn.length > 0 ? inTurn.flatMap((_, index) => strokesCalled(beat, inTurn, index + 1)) : beat,
    ...(all && { calls: all }),
  };
}

/** Out, held and back. */
function strokesOf({ movement }: OneTurn, { outS, backS }: Tempo, holdS: number): EventPart[] {
  const [outLabel, backLabel] = movement.strokes;
  return [
    { name: 'out', label: outLabel, durationMs: milliseconds(outS) },
    { name: 'hold', label: 'hold', durationMs: milliseconds(holdS) },
    { name: 'back', label: backLabel, durationMs: milliseconds(backS) },
  ];
}

/** The dose’s own tempo, or the level’s at the pace of the round, or the usual one; each set as much faster as the dose says. */
function tempoOf({ dose, level, pace }: OneTurn, set: number): Tempo {
  const usual = dose.tempo ?? quicker(level.dose.tempo ?? ropeTempo(level) ?? USUAL_TEMPO, { pace, shorterS: 0 });
  return quicker(usual, quickerInSet(dose, set));
}

/** Called faster than this, a beat helps nobody: seconds of one way out and back. */
const SHORTEST_BEAT_S = 1;

/** One repetition of what is repeated for a time; null where it is too quick to call, or has no beat of its own. */
function beatOf(one: OneTurn, set: number): readonly EventPart[] | null {
  const { dose, level, pace } = one;
  const own = dose.tempo ?? scaled(tempoForTime(one), pace);
  if (!own) return null;
  const tempo = quicker(own, quickerInSet(dose, set));
  const holdS = holdOfSet(dose, set) ?? (dose.tempo ? undefined : level.dose.holdS);
  const pauseS = dose.pauseS ?? (holdS === undefined ? 0 : PAUSE_AFTER_HOLD_S);
  const pause: EventPart = { name: 'pause', label: 'let go', durationMs: milliseconds(pauseS) };
  const beat = realParts([...strokesOf(one, tempo, holdS ?? 0), pause]);
  return beat.reduce((sum, { durationMs }) => sum + durationMs, 0) >= milliseconds(SHORTEST_BEAT_S) ? beat : null;
}

const scaled = (tempo: Tempo | null, pace: number): Tempo | null => tempo && quicker(tempo, { pace, shorterS: 0 });

/** The pace of a level that is done for a time: its own tempo, what its motion is written for, or that of the nearest level that counts. */
function tempoForTime({ level, movement, pacing }: OneTurn): Tempo | null {
  const { load, dose } = level;
  if (dose.tempo) return dose.tempo;
  if (load.kind === 'move') {
    const halfS = MINUTE_S / load.perMinute / 2;
    return { outS: halfS, backS: halfS };
  }
  const rope = ropeTempo(level);
  if (rope) return rope;
  // What eases along with the breath goes at its pace.
  if (load.kind === 'stretch') return { outS: pacing.breathInS, backS: pacing.breathOutS };
  return movement.ladder.find((other) => other.dose.tempo)?.dose.tempo ?? null;
}
const MINUTE_S = 60;

/** Winding a rope all the way up, and down again; null for what has no rope. */
function ropeTempo({ load }: Pick<Level, 'load'>): Tempo | null {
  if (load.kind !== 'roller') return null;
  const windS = rollerWork({ massKg: load.massKg, drumRadiusM: load.drumMm / 2000, ropeM: load.ropeM }).turns * TURN_S.value;
  return { outS: windS, backS: windS };
}
const TURN_S = working('One turn of a roller', 2, 's', 'some six strokes of the wrists, three a second', [1.5, 4]);
