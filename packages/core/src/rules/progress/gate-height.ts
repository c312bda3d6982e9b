import { findLevel, type Movement } from '../../model/movement.js';
import type { Method } from '../../model/method.js';
import { gateOf } from './gates.js';
import type { WorkDone } from './work-done.js';

/** How far up a ladder a session was: the level, and how much of its gate. */
export function heightOf(movement: Movement, done: WorkDone, method: Pick<Method, 'effortCeilingPercent'>): number {
  const level = findLevel(movement, done.levelId);
  const gate = level && gateOf(level, done.unit, method);
  if (!level) return 0;
  const amount = Math.max(1, done.sets) * done.amount;
  const share = gate ? amount / (gate.sets * gate.amount) : 0;
  const effort = gate?.effortPercent === undefined ? 1 : Math.min(1, (done.effortPercent ?? 0) / gate.effortPercent);
  return movement.ladder.indexOf(level) + Math.min(1, share) * effort;
}
