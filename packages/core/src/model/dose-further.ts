import { same } from '../vocabulary/same.js';
import { amountOf, type Dose } from './dose.js';
import type { Sequence } from './sequence.js';

/** A dose with a goal; without one where it is no more than today's amount. */
export function withGoal({ goal: _old, ...dose }: Dose, goal: number): Dose {
  return goal > amountOf(dose.work) ? { ...dose, goal } : dose;
}

/** A dose with an amount of its own for the right hand; the same for both where it does not differ. */
export function withRightAmount({ rightAmount: _old, ...dose }: Dose, amount: number): Dose {
  return amount === amountOf(dose.work) ? dose : { ...dose, rightAmount: amount };
}

/** A dose with a range of effort; with one effort where the upper end is not above it. */
export function withEffortUpTo({ effortToPercent: _old, ...dose }: Dose, percent: number): Dose {
  return percent > (dose.effortPercent ?? 0) ? { ...dose, effortToPercent: percent } : dose;
}

/** A dose with an effort for sore days; without one at none. */
export function withSoreEffort({ sore: _old, ...dose }: Dose, percent: number): Dose {
  return percent > 0 ? { ...dose, sore: { effortPercent: percent } } : dose;
}

/** A dose of which each set is so many percent faster. */
export function withFaster({ faster: _old, ...dose }: Dose, percent: number): Dose {
  return percent > 0 ? { ...dose, faster: { kind: 'percent', percent } } : dose;
}

/** A dose in some of the positions; in all of them nothing is said. */
export function withPositions({ positions: _old, ...dose }: Dose, chosen: readonly string[], all: readonly string[]): Dose {
  return same<unknown>(chosen, all) ? dose : { ...dose, positions: [...chosen] };
}

/** A dose as it is on a day on which the hands are sore: at the effort for such days, where it has one. */
export function onSoreDay(dose: Dose): Dose {
  const { sore, effortToPercent: _range, ...usual } = dose;
  return sore ? { ...usual, ...sore } : dose;
}

/** Whether a sequence has an effort of its own for sore days anywhere. */
export const hasSoreDoses = ({ blocks }: Pick<Sequence, 'blocks'>): boolean => blocks.some(({ dose }) => dose.sore);

/** A sequence as it is on a day on which the hands are sore. */
export const asOnSoreDay = (sequence: Sequence): Sequence => ({
  ...sequence,
  blocks: sequence.blocks.map((block) => ({ ...block, dose: onSoreDay(block.dose) })),
});
