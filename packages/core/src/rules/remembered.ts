import type { PastSession, WorkedForm } from '../effort/past.js';
import type { Dose } from '../model/dose.js';
import { withOwnSet } from '../model/effort-or-load.js';
import { findLevel, type Level, type Movement } from '../model/movement.js';
import { fittedTo } from '../model/own-load.js';
import { OWN_LOAD_NAMES } from '../vocabulary/own-load.js';

/** How somebody did a movement last; undefined where they never did. */
export function lastForm(past: readonly PastSession[], movementId: string): WorkedForm | undefined {
  for (const { forms } of past.toReversed()) {
    const form = forms.findLast((worked) => worked.movementId === movementId);
    if (form) return form;
  }
  return undefined;
}

/** The level that somebody takes up again, where it may be chosen now; else the easiest that may; undefined where none may. */
export function levelFor(movement: Movement, open: readonly Level[], past: readonly PastSession[]): Level | undefined {
  const last = lastForm(past, movement.id);
  const known = last && findLevel(movement, last.levelId);
  return known && open.includes(known) ? known : open[0];
}

/** A dose with the weights and sizes that somebody had at this level last, as far as they can be set on it. */
export function remembered(dose: Dose, movement: Movement, level: Level, past: readonly PastSession[]): Dose {
  const last = lastForm(past, movement.id);
  if (!last?.load || last.levelId !== level.id) return dose;
  let loaded = dose;
  for (const name of OWN_LOAD_NAMES) {
    const value = last.load[name];
    if (value !== undefined) loaded = withOwnSet(loaded, name, value);
  }
  return fittedTo(loaded, level, movement);
}
