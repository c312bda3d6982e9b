// Prints what comes of a thousand simulated athletes by each method and pace: node benchmarks/simulate.mjs [movement] [athletes]
import { studied } from '@clay-pot/core';
import { METHODS, shippedMovement } from '@clay-pot/core/library';
import { sized } from './small.mjs';

const [movementId = 'bearing.palm-support', athletes = String(sized(1000, 2))] = process.argv.slice(2);
const movement = shippedMovement(movementId);
if (!movement) throw new Error(`There is no movement “${movementId}”.`);
const told = ({ value, low, high }, digits, unit = '') =>
  `${value.toFixed(digits)}${unit} (${low.toFixed(digits)}–${high.toFixed(digits)})`;
const percent = ({ value, low, high }) => told({ value: 100 * value, low: 100 * low, high: 100 * high }, 1, ' %');

for (const [daysPerStep, easierEvery] of [
  [0, 0],
  [0, 4],
  [6, 0],
  [6, 4],
].slice(sized(0, 3))) {
  for (const sessionsPerStep of sized([1, 2, 3], [2])) {
    const began = performance.now();
    const rows = studied({
      ...{ movement, methods: Object.values(METHODS), athletes: Number(athletes), seed: 20261128, weeks: 12 },
      ...{ sessionsPerStep, daysPerStep, sessionsPerWeek: null, easierEvery },
    });
    const seconds = ((performance.now() - began) / 1000).toFixed(1);
    console.log(
      `${movement.name}: more after ${sessionsPerStep} clean sessions and ${daysPerStep} days, ${easierEvery ? `an easier week every ${easierEvery}` : 'no easier week'} (${seconds} s)`,
    );
    console.table(
      Object.fromEntries(
        rows.map(({ name, sessionsPerWeek, climbed, climbedMost, flaredUp, soreShare, strength, sessions, band }) => [
          name,
          {
            'a week': sessionsPerWeek,
            sessions: sessions.toFixed(1),
            levels: told(climbed, 2),
            'eight of ten': climbedMost.map((each) => each.toFixed(1)).join('–'),
            'flared up': percent(flaredUp),
            'by constants': band.flaredUp.map((share) => (100 * share).toFixed(0)).join('–'),
            sore: percent(soreShare),
            strength: told(strength, 2),
          },
        ]),
      ),
    );
  }
}
