import { amountOf, setCount } from '../../model/dose.js';
import { findLevel, type Level, type Movement } from '../../model/movement.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import type { Step } from './level-standing.js';
import type { WorkDone } from './work-done.js';

/** The next session’s dose: what a step makes of the last one. */
export function nextSession(last: WorkDone, step: Step, movement: Movement): WorkDone {
  switch (step.kind) {
    case 'amount':
      return { ...last, amount: step.to };
    case 'sets':
      return { ...last, sets: step.to };
    case 'effort':
      return { ...last, effortPercent: step.to };
    case 'level up':
    case 'level down': {
      const level = findLevel(movement, step.levelId);
      return level ? atFirst(last, level) : last;
    }
    case 'ease':
      return { ...last, amount: Math.max(1, Math.round(EASED * last.amount)) };
    case 'hold':
      return { ...last, sets: Math.max(1, last.sets) };
  }
}
const EASED = 0.6;

const atFirst = (last: WorkDone, { id, dose }: Level): WorkDone => ({
  ...last,
  levelId: id,
  unit: UNIT_OF[dose.work.kind],
  sets: setCount(dose),
  amount: amountOf(dose.work),
  effortPercent: dose.effortPercent ?? null,
});
