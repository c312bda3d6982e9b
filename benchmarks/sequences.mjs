// Forty generated sequences, looked at as a coach would lead them: the minutes used, blocks, sets and rests, changes of place, and what else speaks against leading one.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/sequences.mjs [--text]
import { compose, groupRests, loadSolver, missingRests, PLACE_OF, viewOf } from '@clay-pot/core';
import { LIBRARY, TRAINING_GOALS, shippedMovement } from '@clay-pot/core/library';
import { PEOPLE, questionFor } from './people.mjs';
import { sized } from './small.mjs';

const WITH_TEXT = process.argv.includes('--text');
/** Beside those of the other benches: one hand barred, a sore wrist, a beginner with little equipment. */
const MORE_PEOPLE = {
  'left barred': { ...PEOPLE.regular, cautions: [{ caution: 'numbness', hand: 'left' }] },
  'sore wrist': { ...PEOPLE.teacher, cautions: [{ caution: 'sore-place', hand: 'left', place: 'wrist-back', symptom: 'ache', score: 4 }] },
  'few things': { ...PEOPLE.teacher, equipment: ['table', 'mat'] },
};
const MINUTES = [8, 12, 20, 30, 45];
const people = Object.entries({ ...PEOPLE, ...MORE_PEOPLE });
const questions = people.flatMap(([who, person], at) =>
  MINUTES.map((minutes, index) => {
    const goal = TRAINING_GOALS[(3 * at + 2 * index) % TRAINING_GOALS.length];
    const asked = questionFor(person, goal, minutes);
    return {
      who,
      goal,
      minutes,
      asked: person.equipment ? { ...asked, athlete: { ...asked.athlete, equipment: person.equipment } } : asked,
    };
  }),
);

const solver = await loadSolver();
const WORK = ['load', 'strength', 'skill'];
const totals = { sequences: 0, findings: 0, workBlocks: 0, oneSet: 0, neighbours: 0, short: 0, gap: 0, slow: 0 };
for (const { who, goal, minutes, asked } of questions.slice(0, sized(Infinity, 2))) {
  const startedAt = performance.now();
  const answer = compose(asked, solver, { goOn: () => performance.now() - startedAt < 4000 });
  const ms = performance.now() - startedAt;
  if (!('sequence' in answer)) {
    console.log(`${who} · ${goal.id} · ${minutes} min: nothing — give up ${JSON.stringify(answer.giveUp)}`);
    continue;
  }
  const { sequence, findings, durationMs, excluded, goalPercent, gapPercent } = answer;
  const view = viewOf({ ...asked, sequence });
  const work = sequence.blocks.filter(({ phase }) => WORK.includes(phase));
  const oneSet = work.filter(({ dose }) => dose.sets === 1 && !dose.then).length;
  const neighbours = new Set(groupRests(view).map(({ toId }) => toId)).size;
  const short = [...missingRests(view)];
  const places = view.blocks.map(({ level }) => PLACE_OF[level.posture]);
  const changes = places.filter((place, index) => index > 0 && place !== places[index - 1]).length;
  totals.sequences++;
  totals.findings += findings.length > 0;
  totals.workBlocks += work.length;
  totals.oneSet += oneSet;
  totals.neighbours += neighbours;
  totals.short += short.length;
  totals.gap = Math.max(totals.gap, gapPercent);
  console.log(
    [
      `${who} · ${goal.id} · ${minutes} min`,
      `${(durationMs / 60_000).toFixed(1)} min`,
      `${sequence.blocks.length} blocks (${(durationMs / 60_000 / sequence.blocks.length).toFixed(1)} min each)`,
      `${oneSet} of ${work.length} work blocks one set`,
      `${short.length} of ${neighbours} rests short`,
      `${changes} changes of place for ${new Set(places).size} places`,
      `goal ${goalPercent.toFixed(0)} %`,
      `gap ${gapPercent.toFixed(1)} % in ${(ms / 1000).toFixed(1)} s`,
      `${LIBRARY.length - excluded.length} possible`,
      findings.map(({ check }) => check.id).join(' '),
    ].join(' · '),
  );
  if (!WITH_TEXT) continue;
  for (const { phase, movementId, levelId, dose, breakS } of sequence.blocks) {
    const work = dose.work.count ?? dose.work.seconds ?? dose.work.breaths ?? dose.work.metres;
    const extra = [
      dose.effortPercent && `@${dose.effortPercent}%`,
      dose.holdS && `hold ${dose.holdS}`,
      breakS && `(after ${breakS} s)`,
    ].filter(Boolean);
    console.log(
      `    ${phase.padEnd(9)} ${shippedMovement(movementId).name}, ${levelId}: ${dose.sets}×${work} ${dose.work.kind} ${dose.sides} rest ${dose.restS} ${extra.join(' ')}`,
    );
  }
}
console.log(totals);
