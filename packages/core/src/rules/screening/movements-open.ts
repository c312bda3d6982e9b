import { demandOf } from '../../mechanics/demand.js';
import type { Person } from '../../mechanics/capacity.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Level, Movement } from '../../model/movement.js';
import { HANDS, type Hand } from '../../vocabulary/hands.js';
import { againstLoad } from '../against-load.js';
import { concernsOf } from '../clearance.js';

/** Which levels of a movement somebody’s cautions leave open, and the first reason against one that is not. */
export interface MovementOpen {
  readonly movementId: string;
  readonly name: string;
  readonly openLevels: readonly string[];
  readonly ofLevels: number;
  readonly why: string | null;
}

/** Why a level is off for a hand; null where it is open. Range, strength and things at hand are asked elsewhere. */
export function whyOff(
  person: Person,
  movement: Movement,
  level: Level,
  cautions: readonly RecordedCaution[],
  hand: Hand,
): string | null {
  if (cautions.length === 0) return null;
  const { avoid } = concernsOf(movement, level, cautions, [hand]);
  return againstLoad(level, demandOf(person, level)[hand], cautions, hand)[0] ?? avoid[0] ?? null;
}

/** What of the shelf is off for somebody: a level is open where at least one hand may do it. @param cautions as they stand on the day */
export function movementsOpen(
  person: Person,
  movements: readonly Movement[],
  cautions: readonly RecordedCaution[],
): MovementOpen[] {
  return movements.map((movement) => {
    const reasons = movement.ladder.map((level) => ({
      level,
      off: HANDS.map((hand) => whyOff(person, movement, level, cautions, hand)),
    }));
    const open = reasons.filter(({ off }) => off.some((why) => why === null));
    const closed = reasons.find(({ off }) => off.every((why) => why !== null));
    return {
      movementId: movement.id,
      name: movement.name,
      openLevels: open.map(({ level }) => level.id),
      ofLevels: movement.ladder.length,
      why: closed?.off[0] ?? null,
    };
  });
}
