import type { Person } from '../../mechanics/capacity.js';
import { demandOf } from '../../mechanics/demand.js';
import { isSome } from '../../vocabulary/lists.js';
import { BodyError } from '../../model/body.js';
import { type Level, type Movement, MOVEMENT_LIMITS } from '../../model/movement.js';
import { PostureError } from '../../model/posture.js';
import { judgeOf } from './check-movement.js';
import { climbedBy, RISE } from './ladder.js';

/** Puts a level into a ladder where its demand belongs, for whom the ladder was made. */
export function insertLevel(movement: Movement, level: Level): Movement {
  const judge = judgeOf(movement);
  const at = (each: Level) => climbedBy(movement, each, demandOf(judge, each));
  const height = at(level);
  const below = movement.ladder.filter((each) => at(each) < height).length;
  const ladder = movement.ladder.toSpliced(below, 0, level);
  return isSome(ladder) ? { ...movement, ladder } : movement;
}

/**
 * A movement made for one person, with a level that was found for them: what the ladder raises is judged by their body, not by an average
 * one. Levels that this body cannot take, or that ask no more of it than the one below, stay behind; so do the farthest where there are too many.
 */
export function movementFor(movement: Movement, level: Level, person: Person, name: string): Movement {
  const { sex, statureM, massKg } = person.body;
  const madeFor = { name, sex, statureCm: Number((statureM * 100).toFixed(1)), massKg: Number(massKg.toFixed(1)) };
  const own: Movement = { ...movement, name: nameFor(movement, name), madeFor };
  const judge = judgeOf(own);
  const heights = new Map<Level, number>();
  for (const each of [...movement.ladder, level]) {
    const height = heightFor(own, each, judge);
    if (height !== null) heights.set(each, height);
  }
  const found = heights.get(level) ?? 0;
  const isApart = (height: number, of: number) => Math.max(height, of) > Math.min(height, of) * RISE;
  const kept = new Map<Level, number>([[level, found]]);
  // The nearest neighbours of the level found come first, so that the farthest is dropped when there is no room.
  const nearest = [...heights].sort(([, a], [, b]) => Math.abs(a - found) - Math.abs(b - found));
  for (const [each, height] of nearest) {
    if (kept.size === MOVEMENT_LIMITS.levels) break;
    if (height > 0 && [...kept.values()].every((other) => isApart(height, other))) kept.set(each, height);
  }
  const ladder = [...kept].sort(([, a], [, b]) => a - b).map(([each]) => each);
  return isSome(ladder) ? { ...own, ladder } : own;
}

/** What a movement made for somebody is called. */
export const nameFor = (movement: Movement, name: string): string => `${movement.name}, for ${name}`.slice(0, MOVEMENT_LIMITS.nameLength);

function heightFor(movement: Movement, level: Level, judge: Person): number | null {
  try {
    return climbedBy(movement, level, demandOf(judge, level));
  } catch (error) {
    if (error instanceof PostureError || error instanceof BodyError) return null;
    throw error;
  }
}
