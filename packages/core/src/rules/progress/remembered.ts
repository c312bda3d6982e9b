import type { PastSession, WorkedForm } from '../../effort/past.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Dose } from '../../model/dose.js';
import { withOwnSet } from '../../model/effort-or-load.js';
import { findLevel, type Level, type Movement, neighbourLevel } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { fittedTo } from '../../model/own-load.js';
import { hoursBetween } from '../../vocabulary/days.js';
import type { Hand } from '../../vocabulary/hands.js';
import { OWN_LOAD_NAMES } from '../../vocabulary/own-load.js';
import { doseFor } from '../doses/method-dose.js';
import { AWAY_DAYS } from '../suggestions/attention-needed.js';

/** How somebody did a movement last, and when that session ended; undefined where they never did. */
export function lastForm(
  past: readonly PastSession[],
  movementId: string,
): (WorkedForm & Pick<PastSession, 'endedAt' | 'onDay'>) | undefined {
  for (const { forms, endedAt, onDay } of past.toReversed()) {
    const form = forms.findLast((worked) => worked.movementId === movementId);
    if (form) return { ...form, endedAt, onDay };
  }
  return undefined;
}

/**
 * The level that somebody takes up again, where it may be chosen now: that of the last time, or the one below after two weeks without it. Else the
 * easiest that may; undefined where none may.
 */
export function levelFor(movement: Movement, open: readonly Level[], past: readonly PastSession[], now: string): Level | undefined {
  const last = lastForm(past, movement.id);
  if (!last) return open[0];
  const wasAway = hoursBetween(last.endedAt, now) >= AWAY_DAYS * HOURS_PER_DAY;
  const below = wasAway ? neighbourLevel(movement, last.levelId, -1) : undefined;
  const level = below ?? findLevel(movement, last.levelId);
  return level && open.includes(level) ? level : open[0];
}
const HOURS_PER_DAY = 24;

/** For whom a movement is added, and by which method. */
export interface AddedFor {
  readonly method: Method;
  /** The weaker hand, for methods that let it go first. */
  readonly weaker: Hand | null;
  readonly cautions: readonly RecordedCaution[];
  readonly past: readonly PastSession[];
}

/** The dose with which a level is added: the usual one by the method, with what somebody had at this level last. */
export function doseToAdd(movement: Movement, level: Level, { method, weaker, cautions, past }: AddedFor): Dose {
  return remembered(doseFor(movement, level, method, weaker, cautions), movement, level, past);
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
