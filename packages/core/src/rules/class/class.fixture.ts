import { LIBRARY, shippedMovement } from '../../library/index.js';
import { METHODS } from '../../library/methods.js';
import { type SessionQuestion, viewOf } from '../../effort/session-view.js';
import type { ClassEvent, ClassSession, KnownClassEvent } from '../../model/class-session.js';
import type { Sequence } from '../../model/sequence.js';
import { ask, type Line, write } from '../checks/sessions.fixture.js';
import { classPlan, soreBlocks } from './class-plan.js';

/** Circles, rocks on the palms, a plank of two sets, palm lifts, and a shake. */
export const LINES: readonly Line[] = [
  ['prepare', 'free.wrist-circles', 'free-fist', '1x4 L,R'],
  ['range', 'rock.palm-fore-aft', 'over'],
  ['load', 'bearing.palm-support', 'plank', '2x20s rest15'],
  ['strength', 'strength.palm-lift', 'knees-back', '2x6 rest20'],
  ['settle', 'settle.shakes', 'hanging'],
];
export const SEQUENCE: Sequence = write(LINES, { methodId: 'floor-loading' });
export const LOOKUP = shippedMovement;
export const START_MS = Date.parse('2026-06-10T18:00:00.000Z');

/** Ids that sort by their number. */
export const idOf = (number: number): string => `00000000-0000-4000-8000-${String(number).padStart(12, '0')}`;

/** A class of these people, each as planned. */
export function classOf(people: readonly Partial<SessionQuestion>[], sequence = SEQUENCE): ClassSession {
  const members = people.map((more, index) => {
    const view = viewOf(ask(sequence, { shelf: LIBRARY, method: METHODS['floor-loading'], ...more }));
    const blocks = classPlan(view).map(({ reasons: _reasons, ...block }) => block);
    return { id: idOf(100 + index), athleteId: idOf(200 + index), name: `Member ${index + 1}`, blocks, sore: soreBlocks(view) };
  });
  const [first, ...others] = members;
  return { sequenceId: idOf(1), sequence, members: [first!, ...others], startedAt: new Date(START_MS).toISOString() };
}

/** Presses by their seconds after the start. */
export const pressed = (...presses: readonly Timed[]): KnownClassEvent[] =>
  presses.map(([atS, press], index) => ({ id: idOf(1000 + index), event: { ...press, at: START_MS + atS * 1000 } as ClassEvent }));
type Press = ClassEvent extends infer E ? (E extends ClassEvent ? Omit<E, 'at'> : never) : never;
/** A press with its seconds after the start. */
export type Timed = readonly [atS: number, press: Press];
