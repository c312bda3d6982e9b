import { constants, type Constant, withValue } from '../../vocabulary/constant.js';
import { itemAt } from '../../vocabulary/lists.js';
import { chanceOf } from './chance.js';

/** So many sets of constants are tried, each constant once in each twelfth of its range (Latin hypercube; McKay et al. 1979, Technometrics 21:239–45). */
export const CONSTANT_SETS = 12;
const SEED = 1979;

/** The constants of simulated athletes. */
const simulated = (): readonly Constant[] => constants().filter(({ name }) => name.startsWith('Simulated: '));

/** What is computed while every constant of the simulation is somewhere in its range; another number of a set is another place of each. */
export function withSimulatedConstants<T>(set: number, run: () => T): T {
  return simulated().reduce<() => T>((next, constant, index) => {
    const [low, high] = constant.range ?? [constant.value, constant.value];
    const place = itemAt(shuffled(index), set % CONSTANT_SETS);
    return () => withValue(constant, low + ((high - low) * (place + 0.5)) / CONSTANT_SETS, next);
  }, run)();
}

/** The places of one constant in the sets: each once, in an order of its own. */
function shuffled(index: number): number[] {
  const chance = chanceOf(SEED + index);
  return Array.from({ length: CONSTANT_SETS }, (_, place) => ({ place, at: chance.even() }))
    .sort((a, b) => a.at - b.at)
    .map(({ place }) => place);
}
