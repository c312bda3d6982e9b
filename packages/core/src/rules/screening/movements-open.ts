import { type Sentence } from '../../vocabulary/sentence.js';
import { demandOf } from '../../mechanics/demand.js';
import type { Person } from '../../mechanics/capacity.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Level, Movement } from '../../model/movement.js';
import { HANDS } from '../../vocabulary/hands.js';
import { againstLoad } from '../safety/against-load.js';
import { concernsOf } from '../safety/clearance.js';

/** Which levels of a movement somebody’s cautions leave open, and the first reason against one that is not. */
export interface MovementOpen {
  readonly movementId: string;
  readonly name: string;
  readonly openLevels: readonly string[];
  readonly ofLevels: number;
  readonly why: Sentence | null;
}

/** What of the shelf is off for somebody: a level is open where at least one hand may do it. Range, strength and things at hand are asked elsewhere. @param cautions as they stand on the day */
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

/** Why neither hand may do a level; null where one may. */
function whyOff(person: Person, movement: Movement, level: Level, cautions: readonly RecordedCaution[]): Sentence | null {
  const demand = demandOf(person, level);
  const reasons = HANDS.map((hand) => {
    const { avoid } = concernsOf(movement, level, cautions, [hand]);
    return againstLoad(level, demand[hand], cautions, hand)[0] ?? avoid[0] ?? null;
  });
  return reasons.every((why) => why !== null) ? (reasons[0] ?? null) : null;
}
