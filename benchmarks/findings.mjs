// What the checks take as a sequence grows: `npm run build`, then `node benchmarks/findings.mjs [checks]`.
import { performance } from 'node:perf_hooks';
import { CHECKS, findingsOf, PHASES, REFERENCE_BODIES, referencePerson, USUAL_PACING, viewOf } from '@clay-pot/core';
import { LIBRARY, shippedMovement, USUAL_METHOD } from '@clay-pot/core/library';
import { sized } from './small.mjs';

const SIZES = [30, 60, 120];
const RUNS = sized(15, 2);
const DAY = '2026-01-01';
const person = referencePerson(REFERENCE_BODIES['not stated'], DAY);
const athlete = { cautions: [{ caution: 'arthritis' }, { caution: 'blood-pressure' }], equipment: ['mat', 'wall'] };

/** Every so many levels of the library, in the order of the phases: some of everything, with things missing and out of order. */
function sequenceOf(size) {
  const levels = LIBRARY.flatMap((movement) => movement.ladder.map((level) => ({ movement, level })));
  const blocks = Array.from({ length: size }, (_, index) => {
    const { movement, level } = levels[(index * 37) % levels.length];
    const phase = PHASES[Math.floor((index * PHASES.length) / size)];
    return { id: `b${index}`, phase, movementId: movement.id, levelId: level.id, dose: level.dose };
  });
  return { title: 'Many', purpose: '', budgetMin: 60, pacing: USUAL_PACING, blocks };
}

const asked = {
  lookup: shippedMovement,
  shelf: LIBRARY,
  person,
  method: USUAL_METHOD,
  athlete,
  past: [],
  now: `${DAY}T00:00:00.000Z`,
};
const median = (values) => values.toSorted((a, b) => a - b)[Math.floor(values.length / 2)];
/** Milliseconds of some work, each time with a view of its own: what a view keeps for the next question must not help. */
function timed(sequence, work) {
  const took = Array.from({ length: RUNS }, () => {
    const view = viewOf({ ...asked, sequence });
    const started = performance.now();
    work(view);
    return performance.now() - started;
  });
  return median(took);
}

for (const size of [...SIZES, ...SIZES]) timed(sequenceOf(size), findingsOf); // until everything is compiled
let first;
for (const size of SIZES) {
  const sequence = sequenceOf(size);
  const ms = timed(sequence, findingsOf);
  first ??= ms / size;
  const found = findingsOf(viewOf({ ...asked, sequence })).length;
  console.log(`${size} blocks: ${ms.toFixed(1)} ms, ${found} findings; a block takes ×${(ms / size / first).toFixed(2)}`);
  if (!process.argv.includes('checks')) continue;
  const each = CHECKS.map((check) => ({ id: check.id, ms: timed(sequence, (view) => check.find(view)) }));
  for (const { id, ms: took } of each.sort((a, b) => b.ms - a.ms).slice(0, 6)) console.log(`  ${id} ${took.toFixed(2)}`);
}
