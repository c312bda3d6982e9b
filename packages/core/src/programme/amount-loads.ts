import type { Person } from '../mechanics/capacity.js';
import type { MovementLookup } from '../model/movement.js';
import { type PlannedDay, type Programme, PROGRAMME_LIMITS } from '../model/programme.js';
import type { GroupDoses } from '../vocabulary/muscles.js';
import { type SessionLoad, sessionLoad } from './session-load.js';
import { type PlanSequences, sequencesOn } from './session-plan.js';

/** What a session of a plan comes to in a week of an amount. */
export type AmountLoads = (session: PlannedDay, percent: number) => SessionLoad | null;

/** A new programme’s plans do not grow by themselves yet. */
const ANY_METHOD = { daysPerStep: 0 };

/** Computes sessions in weeks of any amount. @throws SequenceError when a plan is not sound */
export function amountLoads(
  programme: Programme,
  { sequences, lookup, person }: { readonly sequences: PlanSequences; readonly lookup: MovementLookup; readonly person: Person },
): AmountLoads {
  let percent = 100;
  const sequenceOf = sequencesOn(programme, lookup, { cautions: [], method: ANY_METHOD, percentOn: () => percent });
  return (session, of) => {
    const plan = sequences.get(session.planId);
    percent = of;
    return plan ? sessionLoad(person, sequenceOf(session, plan), lookup) : null;
  };
}

const { min, step } = PROGRAMME_LIMITS.amountPercent;
/** The amounts that a new programme’s weeks may have: no more than their plans hold. */
export const AMOUNTS: readonly number[] = Array.from({ length: (100 - min) / step + 1 }, (_, index) => min + index * step);

/** All groups together: what a week, or a session, is compared by. */
export const sumOf = (doses: GroupDoses): number => Object.values(doses).reduce((sum, dose) => sum + dose, 0);

/** What loads in a session, all groups together: what a week holds more or less of. */
export const workLoad = (load: SessionLoad | null): number => (load ? sumOf(load.workDoses) : 0);

/** The one of some values that lies nearest to another; of equal ones the first. */
export function nearest<T>(of: readonly T[], to: number, value: (each: T) => number): T | undefined {
  let best: T | undefined;
  let off = Infinity;
  for (const each of of) {
    const far = Math.abs(value(each) - to);
    if (far < off - 1e-9) [best, off] = [each, far];
  }
  return best;
}
