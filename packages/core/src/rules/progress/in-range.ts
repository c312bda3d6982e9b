import { amountOf, type Dose, setGroupsOf, withAmount, withSetGroups } from '../../model/dose.js';
import type { Method } from '../../model/method.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import { isProgression, STEP_OF } from './level-standing.js';
import type { HandStanding } from './progressed.js';

/**
 * A dose grown by a step inside the range that its coach gave, or toward its goal: repetitions or seconds first, then effort. Null where it has neither
 * or has reached both, and where a hand is to do less: then more is what the level's gate says.
 */
export function grownInRange(
  dose: Dose,
  standings: readonly HandStanding[],
  { effortStepPercent }: Pick<Method, 'effortStepPercent'>,
): Dose | null {
  const mayGrow = standings.some(({ step }) => isProgression(step));
  const mustEase = standings.some(({ step }) => step.kind === 'ease' || step.kind === 'level down');
  if (!mayGrow || mustEase || dose.then) return null;
  return moreAmount(dose, standings) ?? moreEffort(dose, effortStepPercent);
}

/** As much as both hands did, and a step more, up to the goal or the upper end. */
function moreAmount(dose: Dose, standings: readonly HandStanding[]): Dose | null {
  const [{ sets, work }] = setGroupsOf(dose) as [ReturnType<typeof setGroupsOf>[number]];
  const unit = UNIT_OF[work.kind];
  const most = Math.max(work.upTo ?? 0, dose.goal ?? 0);
  const now = amountOf(work);
  if (work.open || now >= most) return null;
  const done = standings.filter(({ last }) => last.unit === unit).map(({ last }) => last.amount);
  const reached = done.length > 0 ? Math.max(now, Math.min(...done)) : now;
  return withSetGroups(dose, [{ sets, work: withAmount(work, Math.min(most, reached + STEP_OF[unit])) }]);
}

function moreEffort(dose: Dose, step: number): Dose | null {
  const { effortPercent, effortToPercent, ...rest } = dose;
  if (effortPercent === undefined || effortToPercent === undefined) return null;
  const next = Math.min(effortToPercent, effortPercent + step);
  return { ...rest, effortPercent: next, ...(next < effortToPercent && { effortToPercent }) };
}
