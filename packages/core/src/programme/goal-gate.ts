import { countsFor, type TrainingGoal, type Want } from '../compose/goal.js';
import { formOf } from '../effort/turn-work.js';
import type { Person } from '../mechanics/capacity.js';
import type { Level, Movement } from '../model/movement.js';
import { isSome } from '../vocabulary/lists.js';

/** As much as asked, but for rounding. */
const ALL = 0.999;

/** What a goal wants first, and the level of a movement that first asks as much as the goal does; null where it is other work, or nowhere as much. */
export function goalGate(goal: TrainingGoal, movement: Movement, person: Person): { want: Want; level: Level } | null {
  const asking = goal.wants.filter(({ asks }) => asks !== undefined);
  const wants = isSome(asking) ? asking : goal.wants.slice(0, 1);
  for (const want of wants) {
    const level = movement.ladder.find((each) => {
      const form = formOf(person, movement, each, each.dose);
      return form !== null && countsFor(want, movement, each, form.demand) >= ALL;
    });
    if (level) return { want, level };
  }
  return null;
}
