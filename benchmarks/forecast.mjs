// How often predicted gates are passed within the predicted days, by people who do not exist: steady, usual and rough, this level’s gate and the next one’s.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/forecast.mjs [people]
import { forecastCoverage, SIMULATED_KINDS } from '@clay-pot/core';
import { METHODS, shippedMovement } from '@clay-pot/core/library';
import { sized } from './small.mjs';

const people = Number(process.argv[2] ?? sized(400, 2));
const COURSES = [
  ['bearing.palm-support', 'floor-loading', 4],
  ['strength.palm-lift', 'floor-loading', 3],
  ['weight.curl', 'grip-and-iron', 2],
  ['grip.ball-squeeze', 'daily-range', 5],
  ['isometric.extension', 'careful-return', 4],
];
const sums = {};
for (const [movementId, methodId, sessionsPerWeek] of COURSES.slice(0, sized(Infinity, 1))) {
  for (const kind of Object.keys(SIMULATED_KINDS)) {
    for (const levelsAhead of [0, 1]) {
      const movement = shippedMovement(movementId);
      const c = forecastCoverage({ movement, method: METHODS[methodId], kind, levelsAhead, people, seed: 20261128, sessionsPerWeek });
      const key = `${kind}, ${levelsAhead === 0 ? 'this level' : 'next level'}`;
      sums[key] ??= { predicted: 0, within: 0, before: 0, after: 0, unknown: 0, width: 0 };
      for (const name of ['predicted', 'within', 'before', 'after', 'unknown']) sums[key][name] += c[name];
      sums[key].width += c.widthDays * c.predicted;
      const percent = (n) => `${((100 * n) / Math.max(1, c.predicted)).toFixed(0)} %`;
      console.log(
        `${movementId.padEnd(22)} ${key.padEnd(20)} ${String(c.predicted).padStart(4)} predicted, ${String(c.unknown).padStart(4)} not; within ${percent(c.within)}, before ${percent(c.before)}, after ${percent(c.after)}; ${c.widthDays.toFixed(0)} days wide`,
      );
    }
  }
}
for (const [key, { predicted, within, before, after, unknown, width }] of Object.entries(sums))
  console.log(
    `${key.padEnd(20)} ${predicted} of ${predicted + unknown} predicted: within ${((100 * within) / predicted).toFixed(1)} %, before ${((100 * before) / predicted).toFixed(1)} %, after ${((100 * after) / predicted).toFixed(1)} %; ${(width / predicted).toFixed(0)} days wide`,
  );
