import { CARRY_PACE_M_PER_S } from '../mechanics/external-load.js';
import { type Dose, type Tempo, type Work, worksOf } from '../model/dose.js';
import type { Level, Movement } from '../model/movement.js';
import { handsInTurn } from '../vocabulary/hands.js';
import { itemAt } from '../vocabulary/lists.js';
import type { OneTurn } from './one-turn.js';
import type { TimelineWriter } from './timeline-writer.js';
import { type EventPart, HAND_WALK_M_PER_S, milliseconds, PAUSE_AFTER_HOLD_S, STEP_M } from './timeline.js';

/** Pace of a repetition when neither dose nor level says: a second out, two back. */
export const USUAL_TEMPO: Tempo = { outS: 1, backS: 2 };

/** A movement without directions is worked once, in no named direction. */
export function directionsOf(movement: Movement, dose: Dose): readonly (string | null)[] {
  if (!movement.directions) return [null];
  const [first, second] = movement.directions;
  if (dose.directions === 'first') return [first];
  return dose.directions === 'second' ? [second] : [first, second];
}

/** Seconds for a distance: a walk for carried things, a far slower pace for a body on its hands. */
export const distanceS = (metres: number, { load }: Pick<Level, 'load'>) =>
  metres / (load.kind === 'body' ? HAND_WALK_M_PER_S : CARRY_PACE_M_PER_S);

/** Steps that carry somebody over a distance; null for a body that walks on its hands. @example stepsOver(35, { load: { kind: "fixed" } }) → 50 */
export const stepsOver = (metres: number, { load }: Pick<Level, 'load'>): number | null =>
  load.kind === 'body' ? null : Math.round(metres / STEP_M);

/** The work of one set for one hand in one direction. */
export function writeWork(draft: TimelineWriter, one: OneTurn, set: number): void {
  const { dose, movement, level, pacing } = one;
  const work = itemAt(worksOf(dose), set - 1);
  switch (work.kind) {
    case 'time':
      draft.event(movement.timed, work.seconds);
      return;
    case 'distance':
      draft.event(movement.timed, distanceS(work.metres, level), true);
      return;
    case 'breaths':
      for (let breath = 1; breath <= work.count; breath++) {
        draft.parts('breath', breath, [
          { name: 'in', label: 'breathe in', durationMs: milliseconds(pacing.breathInS) },
          { name: 'out', label: 'breathe out', durationMs: milliseconds(pacing.breathOutS) },
        ]);
      }
      return;
    case 'repetitions':
      writeRepetitions(draft, one, work);
  }
}

function writeRepetitions(draft: TimelineWriter, one: OneTurn, { count }: Extract<Work, { kind: 'repetitions' }>) {
  const { dose, movement, pace } = one;
  const tempo = dose.tempo ?? usualTempo(one.level, pace);
  const [outLabel, backLabel] = movement.strokes;
  const parts: EventPart[] = [
    { name: 'out', label: outLabel, durationMs: milliseconds(tempo.outS) },
    { name: 'hold', label: 'hold', durationMs: milliseconds(dose.holdS ?? 0) },
    { name: 'back', label: backLabel, durationMs: milliseconds(tempo.backS) },
  ];
  const inTurn = dose.sides === 'alternating' ? handsInTurn(dose.sides) : [draft.side];
  // A hand that waits for the other has its pause in that, unless one is asked for.
  const pauseS = dose.pauseS ?? (dose.holdS !== undefined && inTurn.length === 1 ? PAUSE_AFTER_HOLD_S : 0);
  const pause: EventPart = { name: 'pause', label: 'let go', durationMs: milliseconds(pauseS) };
  for (let repetition = 1; repetition <= count; repetition++) {
    inTurn.forEach((side, index) => {
      draft.side = side;
      const isLast = repetition === count && index === inTurn.length - 1;
      const pauses = pauseS > 0 && !isLast && index === inTurn.length - 1;
      draft.parts('repetition', repetition, pauses ? [...parts, pause] : parts);
    });
  }
}

/** The level's own pace, as fast as the round is; else a second out and two back. */
function usualTempo({ dose }: Level, pace: number): Tempo {
  const { outS, backS } = dose.tempo ?? USUAL_TEMPO;
  return { outS: outS / pace, backS: backS / pace };
}
