import { type Dose, withSetGroups, workOf } from '../../model/dose.js';
import { atEffort } from '../../model/effort-or-load.js';
import type { Level, Movement } from '../../model/movement.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import type { LevelStanding } from './level-standing.js';
import { unusualInDose } from '../doses/usual-dose.js';

/** What is read of where hands stand: how far they are, and what comes next. */
export type HandStanding = Pick<LevelStanding, 'movementId' | 'levelId' | 'step'> & {
  readonly last: Pick<LevelStanding['last'], 'unit' | 'sets' | 'amount' | 'effortPercent'>;
};

/** The level that somebody’s hands have come to: up when both have passed, down when either has to, else the lower of the two. Undefined for what was never done. */
export function levelNow(movement: Movement, standings: readonly HandStanding[]): Level | undefined {
  const mine = standings.filter(({ movementId }) => movementId === movement.id);
  const to = mine.map(({ levelId, step }) => (step.kind === 'level down' || step.kind === 'level up' ? step.levelId : levelId));
  const levelIndexes = to.map((id) => movement.ladder.findIndex((level) => level.id === id)).filter((levelIndex) => levelIndex >= 0);
  return levelIndexes.length > 0 ? movement.ladder[Math.min(...levelIndexes)] : undefined;
}

/**
 * A usual dose grown to where somebody’s hands have come at this level: what both did last, and the step that both may take. The dose itself where they are
 * about to begin a level, or where what they did is counted otherwise.
 */
export function doseNow(dose: Dose, level: Level, movementId: string, standings: readonly HandStanding[]): Dose {
  const mine = standings.filter((each) => each.movementId === movementId && each.levelId === level.id);
  const unit = UNIT_OF[dose.work.kind];
  const goesOn =
    mine.length > 0 &&
    mine.every(
      ({ step, last }) =>
        last.unit === unit && last.sets > 0 && step.kind !== 'level up' && step.kind !== 'level down' && step.kind !== 'ease',
    );
  if (!goesOn || dose.then) return dose;
  const least = (of: (standing: HandStanding) => number) => Math.min(...mine.map(of));
  const reached = (kind: 'amount' | 'sets' | 'effort', now: (standing: HandStanding) => number) =>
    least((each) => (each.step.kind === kind ? each.step.to : now(each)));
  const sets = reached('sets', ({ last }) => last.sets);
  const amount = reached('amount', ({ last }) => last.amount);
  const effort = reached('effort', ({ last }) => last.effortPercent ?? dose.effortPercent ?? 0);
  const done = withSetGroups(dose, [{ sets, work: workOf(dose.work.kind, amount) }]);
  const grown = dose.effortPercent !== undefined && effort > 0 ? atEffort(done, effort) : done;
  return unusualInDose(grown, level.dosing).length === 0 ? grown : dose;
}
