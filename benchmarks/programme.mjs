// One edit of a programme of 12 weeks, six sessions a week and 30 blocks a session: how long until all of it is computed again.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/programme.mjs [weeks], or in Chromium: node benchmarks/in-chromium.mjs programme.mjs
import { addDays, editProgramme, EQUIPMENT, evaluateProgramme, inPhaseOrder, maximum, PHASES, USUAL_PACING } from '@clay-pot/core';
import { LIBRARY, METHODS, shippedMovement } from '@clay-pot/core/library';
import { sized } from './small.mjs';

const [BLOCKS, EDITS] = sized([30, 60], [6, 3]);
const WEEKS = Number(process.argv[2] ?? sized(12, 4));
const MONDAY = '2026-11-02';

/** Thirty blocks out of all families, others for each plan. */
function sequence(plan) {
  const blocks = Array.from({ length: BLOCKS }, (_, index) => {
    const movement = LIBRARY[(index * 5 + plan) % LIBRARY.length];
    const level = movement.ladder[0];
    return { id: `b${index}`, phase: PHASES[index % PHASES.length], movementId: movement.id, levelId: level.id, dose: level.dose };
  });
  return { title: `Plan ${plan}`, purpose: '', budgetMin: 90, pacing: USUAL_PACING, blocks: inPhaseOrder(blocks) };
}

/** Plans that grow every week, so that every week’s sessions are others. */
const plans = ['a', 'b', 'c'].map((id, index) => ({
  id,
  sequenceId: `0192f0c4-7b1e-7abc-8abc-00000000000${index}`,
  rise: { steps: 1, each: 'week' },
}));
const sessions = Array.from({ length: WEEKS * 6 }, (_, index) => ({
  id: `s${index}`,
  day: addDays(MONDAY, Math.floor(index / 6) * 7 + (index % 6)),
  planId: plans[index % 3].id,
}));
const weeks = Array.from({ length: WEEKS }, (_, index) =>
  index % 4 === 3 ? { kind: 'easier', amountPercent: 60 } : { kind: 'build', amountPercent: 100 },
);
const programme = { title: 'All of it', fromDay: MONDAY, weeks, plans, sessions, event: { day: addDays(MONDAY, 83), name: 'Show' } };
const sequences = new Map(plans.map(({ id }, index) => [id, sequence(index)]));
const person = {
  body: { sex: 'male', statureM: 1.8, massKg: 78 },
  ageYears: 29,
  evidence: [maximum('grip', 'left', 520, MONDAY), maximum('grip', 'right', 540, MONDAY)],
  today: MONDAY,
};
const question = {
  programme,
  sequences,
  lookup: shippedMovement,
  shelf: LIBRARY,
  person,
  method: METHODS['floor-loading'],
  athlete: { cautions: [], equipment: EQUIPMENT },
  past: [],
  done: [],
  today: MONDAY,
};

/** A session on another day; a week of another amount; a block of a plan with another dose, in all weeks. */
const KINDS = {
  'a session on another day': (at) => ({
    programme: editProgramme(programme, [{ kind: 'move', sessionId: `s${at}`, day: addDays(MONDAY, (at * 7) % 83) }]),
  }),
  'a week of another amount': (at) => ({
    programme: editProgramme(programme, [{ kind: 'week', index: at % WEEKS, week: { kind: 'build', amountPercent: 105 + 5 * (at % 9) } }]),
  }),
  'the growth of a plan, in every week': (at) => ({
    programme: {
      ...programme,
      plans: plans.map((plan, index) => (index === at % 3 ? { ...plan, rise: { steps: 2 + (at % 7), each: 'session' } } : plan)),
    },
  }),
  'a block of a plan, in every week': (at) => {
    const before = sequences.get('a');
    const blocks = before.blocks.map((block, index) =>
      index === at % BLOCKS ? { ...block, dose: { ...block.dose, restS: 30 + at } } : block,
    );
    return { sequences: new Map(sequences).set('a', { ...before, blocks }) };
  },
};

const timed = (work) => {
  const start = performance.now();
  work();
  return performance.now() - start;
};
console.log(`the first time: ${timed(() => evaluateProgramme(question)).toFixed(0)} ms`);
for (const [name, change] of Object.entries(KINDS)) {
  const times = Array.from({ length: EDITS }, (_, at) => timed(() => evaluateProgramme({ ...question, ...change(at) })));
  const sorted = times.slice(EDITS / 3).sort((a, b) => a - b);
  const middle = sorted[Math.floor(sorted.length / 2)];
  const worst = sorted[Math.floor(sorted.length * 0.95)];
  console.log(`${name}: ${middle.toFixed(1)} ms, nineteen of twenty within ${worst.toFixed(1)} ms`);
}
