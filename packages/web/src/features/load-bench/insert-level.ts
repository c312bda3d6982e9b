import { climbedBy, demandOf, isSome, type Level, type Movement, type Person, REFERENCE_BODIES } from '@clay-pot/core';

/** Puts a level into a ladder where its demand belongs. */
export function insertLevel(movement: Movement, level: Level): Movement {
  const judge: Person = { body: REFERENCE_BODIES['not stated'], ageYears: null, measured: [], today: '2000-01-01' };
  const at = (each: Level) => climbedBy(movement, each, demandOf(judge, each));
  const height = at(level);
  const below = movement.ladder.filter((each) => at(each) < height).length;
  const ladder = movement.ladder.toSpliced(below, 0, level);
  return isSome(ladder) ? { ...movement, ladder } : movement;
}
