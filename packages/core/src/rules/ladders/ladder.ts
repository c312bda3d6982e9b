import { itemAt } from '../../vocabulary/lists.js';
import type { Person } from '../../mechanics/capacity.js';
import { asDosed } from '../../mechanics/as-dosed.js';
import { type Demand, demandOf } from '../../mechanics/demand.js';
import type { Dose } from '../../model/dose.js';
import type { Level, Movement } from '../../model/movement.js';
import { USUAL_PACING } from '../../model/sequence.js';
import { compileTimeline } from '../../timeline/compile-timeline.js';
import { workedMs } from '../../timeline/timeline.js';
import { HANDS } from '../../vocabulary/hands.js';

/** Smaller rises are within what nobody could tell apart: one part in a hundred. */
export const RISE = 1.01;

/** A level with its demand for a person and its position on the ladder’s scale. */
export interface LevelDemand {
  readonly level: Level;
  readonly demand: Demand;
  readonly climbed: number;
}

/** Every level of a ladder with its demand for a person. @throws as `demandOf` */
export function levelDemands(person: Person, movement: Movement): LevelDemand[] {
  return movement.ladder.map((level) => {
    // At its usual dose, as a block of it is shown: an effort that the dose keeps up counts.
    const demand = demandOf(person, asDosed(person, movement, level, level.dose));
    return { level, demand, climbed: climbedBy(movement, level, demand) };
  });
}

/** The number that the ladder raises, at a level. */
export function climbedBy(movement: Movement, level: Level, demand: Demand): number {
  const most = (read: (hand: (typeof HANDS)[number]) => number) => Math.max(...HANDS.map(read));
  switch (movement.climbs) {
    case 'effort':
      return most((hand) => demand[hand].effortPercent);
    case 'hand load':
      return most((hand) => demand[hand].loadPercentBW);
    case 'wrist angle':
      return most((hand) => demand[hand].angle?.deg ?? 0);
    case 'stretch':
      return most((hand) => demand[hand].stretchNm);
    case 'speed':
      return level.load.kind === 'move' ? level.load.perMinute : 0;
    case 'pressure':
      return level.load.kind === 'rest' ? level.load.pressN : 0;
    case 'time':
      return workSeconds(movement, level);
  }
}

/** Seconds of work in a level's usual dose, of one hand, by the timeline that everything else reads. */
export function workSeconds(movement: Movement, level: Level, dose: Dose = level.dose): number {
  const block = { id: 'a', phase: 'load' as const, movementId: movement.id, levelId: level.id, dose };
  const sequence = { title: movement.name, purpose: '', budgetMin: 10, pacing: USUAL_PACING, blocks: [block] };
  const { events } = compileTimeline(sequence, () => movement);
  const worked = events.filter(({ stint, side }) => stint !== null && side !== 'right');
  const right = events.filter(({ stint, side }) => stint !== null && side !== 'left');
  const seconds = (list: typeof events) => list.reduce((sum, event) => sum + workedMs(event), 0) / 1000;
  return Math.max(seconds(worked), seconds(right));
}

/** A step of a ladder that does not rise. */
export interface FlatStep {
  readonly from: LevelDemand;
  readonly to: LevelDemand;
}

/** Steps that ask for no more than the one below, for this person: a ladder with any is a defect. */
export function flatSteps(person: Person, movement: Movement): FlatStep[] {
  const demands = levelDemands(person, movement);
  return demands.slice(1).flatMap((to, index) => {
    const from = itemAt(demands, index);
    return to.climbed > from.climbed * RISE && to.climbed > 0 ? [] : [{ from, to }];
  });
}
