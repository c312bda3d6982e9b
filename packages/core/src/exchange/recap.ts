import { type Dose, withAmounts, withSetGroups } from '../model/dose.js';
import type { Level } from '../model/movement.js';
import { quicker } from '../model/pace.js';

/** How much quicker a recap is, and how much of a timed set is left of it. */
const [QUICKER, TIMED_SHARE] = [4 / 3, 2 / 3];

/** A dose once more: one set, at its pace or quicker. What is timed is shorter instead, what is paced is paced faster. */
export function recapDose(dose: Dose, { dose: usual }: Pick<Level, 'dose'>, isQuicker: boolean): Dose {
  const { goal: _goal, faster: _faster, ...once } = withSetGroups(dose, [{ sets: 1, work: dose.work }]);
  const rested = { ...once, restS: 0 };
  if (!isQuicker) return rested;
  if (dose.work.kind === 'time') return withAmounts(rested, (now) => Math.max(1, Math.round(now * TIMED_SHARE)));
  const tempo = dose.tempo ?? usual.tempo;
  if (!tempo || dose.work.kind !== 'repetitions') return rested;
  const { outS, backS } = quicker(tempo, { pace: QUICKER, shorterS: 0 });
  const toHalves = (seconds: number) => Math.max(0.5, Math.round(2 * seconds) / 2);
  return { ...rested, tempo: { outS: toHalves(outS), backS: toHalves(backS) } };
}
