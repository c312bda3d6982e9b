import { say, type Sentence } from '../../vocabulary/sentence.js';
import type { Person } from '../../mechanics/capacity.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Level, Movement } from '../../model/movement.js';
import { workOf } from '../gate/gate.js';
import type { Work } from '../gate/moments.js';
import { leftOutBy, limitBroken, waitsFor } from '../gate/restrictions.js';
import { cautionAdvice } from '../safety/cautions.js';

/** Which levels of a movement somebody’s cautions leave open, and the first reason against one that is not. */
export interface MovementOpen {
  readonly movementId: string;
  readonly name: string;
  readonly openLevels: readonly string[];
  readonly ofLevels: number;
  readonly why: Sentence | null;
}

/** What of the shelf is off for somebody: a level is open where it may be done in one of its movement’s ways with the hands. Range, strength and things at hand are asked elsewhere. @param cautions as they stand on the day */
export function movementsOpen(person: Person, movements: readonly Movement[], cautions: readonly RecordedCaution[]): MovementOpen[] {
  return movements.map((movement) => {
    const closed: Sentence[] = [];
    const open = movement.ladder.filter((level) => {
      const why = cautions.length > 0 ? whyOff(person, movement, level, cautions) : null;
      if (why !== null) closed.push(why);
      return why === null;
    });
    return {
      movementId: movement.id,
      name: movement.name,
      openLevels: open.map(({ id }) => id),
      ofLevels: movement.ladder.length,
      why: closed[0] ?? null,
    };
  });
}

/** Why a level may be done in none of its movement’s ways with the hands; null where it may in one. */
function whyOff(person: Person, movement: Movement, level: Level, cautions: readonly RecordedCaution[]): Sentence | null {
  const reasons = movement.sides.map((sides) => whyNot(workOf({ person }, movement, level, { ...level.dose, sides }), cautions));
  return reasons.every((why) => why !== null) ? (reasons[0] ?? null) : null;
}

function whyNot(work: Work, cautions: readonly RecordedCaution[]): Sentence | null {
  const waiting = cautions.find((entry) => waitsFor(entry, work));
  if (waiting) return cautionAdvice(waiting);
  for (const entry of cautions) {
    const limit = limitBroken(entry, work);
    if (limit) return say`${limit.broken}. ${cautionAdvice(entry)}`;
  }
  return leftOutBy(cautions, work)[0] ?? null;
}
