import type { BlockView, SessionView } from '../../effort/session-view.js';
import type { Dose } from '../../model/dose.js';
import { equipmentFor, type Level, type Movement } from '../../model/movement.js';
import type { Equipment } from '../../vocabulary/places.js';

/** What is found in any room: what may be proposed where nobody said which things there are. */
export const ANYWHERE: readonly Equipment[] = ['mat', 'chair', 'table', 'wall', 'towel'];

type WithEquipment = Pick<SessionView, 'athlete'>;

/** What a level needs that somebody does not have; nothing for anybody in general. */
export const missingFor = ({ athlete }: WithEquipment, movement: Movement, level: Level, dose?: Dose): Equipment[] =>
  athlete ? equipmentFor(movement, level, dose).filter((thing) => !athlete.equipment.includes(thing)) : [];

/** What a level needs that is not there to be proposed with: not at hand, or not to be found in any room where nobody said what there is. */
export const lackingFor = (subject: WithEquipment, movement: Movement, level: Level, dose?: Dose): Equipment[] =>
  subject.athlete
    ? missingFor(subject, movement, level, dose)
    : equipmentFor(movement, level, dose).filter((thing) => !ANYWHERE.includes(thing));

/** What a block does, as far as it needs things. */
interface Needing {
  readonly movement: Movement;
  readonly level: Level;
  readonly dose: Dose;
}

/** Whether something needs nothing that is missing, beside what a block uses already: that is there, recorded or not. */
export function usesNoMore(subject: WithEquipment, { movement, level, dose }: Needing, than: BlockView): boolean {
  const there = equipmentFor(than.movement, than.level, than.block.dose);
  return lackingFor(subject, movement, level, dose).every((thing) => there.includes(thing));
}
