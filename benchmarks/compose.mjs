// Composing twenty minutes from the whole library, for five people by five methods and ten goals: how soon there is a sound answer, how near it is to the best after a
// second, how near it ends, and what taking the best piece by piece would have come to.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/compose.mjs
import {
  candidatesFor,
  Choice,
  compose,
  composingOf,
  EQUIPMENT,
  loadSolver,
  maximum,
  integerProgrammeOf,
} from '@clay-pot/core';
import { LIBRARY, METHODS, shippedMovement, TRAINING_GOALS } from '@clay-pot/core/library';

const TODAY = '2026-11-01';
const body = (sex, statureM, massKg) => ({ sex, statureM, massKg });
const grip = (left, right) => [maximum('grip', 'left', left, TODAY), maximum('grip', 'right', right, TODAY)];
/** Made up: a teacher, a climber of fifteen, a fencer with a weaker left hand, a carpenter with arthritis, a regular. */
const PEOPLE = [
  ['teacher', 'woven-into-practice', body('female', 1.65, 62), 34, [], []],
  ['boulderer', 'grip-and-iron', body('male', 1.7, 58), 15, grip(330, 350), [{ caution: 'under-18' }]],
  ['fencer', 'careful-return', body('female', 1.72, 66), 27, grip(290, 360), []],
  ['carpenter', 'daily-range', body('male', 1.76, 84), 61, [], [{ caution: 'arthritis' }]],
  ['regular', 'floor-loading', body('male', 1.8, 78), 29, grip(520, 540), []],
];
const SECOND_MS = 1000;

const question = ([, method, sizes, ageYears, evidence, cautions], goal) => ({
  goal,
  minutes: 20,
  method: METHODS[method],
  person: { body: sizes, ageYears, evidence, today: TODAY },
  athlete: { cautions, equipment: EQUIPMENT },
  past: [],
  now: `${TODAY}T10:00:00.000Z`,
  shelf: LIBRARY,
  lookup: shippedMovement,
});

/** The best addition, one after the other, until none makes it better. */
function greedy(asked) {
  const composing = composingOf(asked);
  const { candidates } = candidatesFor(composing);
  const choice = Choice.of(integerProgrammeOf(composing, candidates).structure);
  const value = () => choice.worth() - choice.broken();
  for (;;) {
    const before = value();
    let [best, most] = [-1, 1e-9];
    candidates.forEach((_, at) => {
      if (choice.chosen[at]) return;
      choice.toggle(at);
      if (value() - before > most) [best, most] = [at, value() - before];
      choice.toggle(at);
    });
    if (best < 0) return value();
    choice.toggle(best);
  }
}

const solver = await loadSolver();
// What is compiled while it runs is compiled before it is timed.
for (const person of PEOPLE) compose(question(person, TRAINING_GOALS[0]), solver, { better: () => false });

const rows = PEOPLE.flatMap((person) =>
  TRAINING_GOALS.map((goal) => {
    const asked = question(person, goal);
    const startedAt = performance.now();
    let [firstMs, gapAtSecond] = [0, 100];
    const last = compose(asked, solver, {
      better: ({ gapPercent }) => {
        const ms = performance.now() - startedAt;
        firstMs ||= ms;
        if (ms <= SECOND_MS) gapAtSecond = gapPercent;
        return true;
      },
    });
    return {
      who: person[0],
      goal: goal.id,
      firstMs,
      gapAtSecond,
      gapPercent: last.gapPercent,
      totalMs: performance.now() - startedAt,
      worth: last.worth,
      greedy: greedy(asked),
      findings: last.findings.length,
    };
  }),
);
const median = (of) => rows.map(of).sort((a, b) => a - b)[rows.length >> 1];
for (const { who, goal, firstMs, gapAtSecond, gapPercent, totalMs, worth, greedy: piecewise, findings } of rows) {
  const figures = [
    `first ${firstMs.toFixed(0)} ms`,
    `gap at 1 s ${gapAtSecond.toFixed(2)} %`,
    `ends at ${gapPercent.toFixed(2)} % after ${(totalMs / 1000).toFixed(1)} s`,
    `worth ${worth.toFixed(1)}, piece by piece ${piecewise.toFixed(1)}`,
  ];
  console.log(
    `${who.padEnd(10)} ${goal.padEnd(18)} ${figures.join(' · ')}${findings > 0 ? ` · ${findings} findings` : ''}`,
  );
}
console.log(
  `median of ${rows.length}: first ${median((r) => r.firstMs).toFixed(0)} ms, gap at one second ${median((r) => r.gapAtSecond).toFixed(2)} %, ends at ${median((r) => r.gapPercent).toFixed(2)} % after ${(median((r) => r.totalMs) / 1000).toFixed(1)} s`,
);
console.log(
  `never worse than piece by piece: ${rows.every(({ worth, greedy: piecewise }) => worth >= piecewise)}; with findings: ${rows.filter(({ findings }) => findings > 0).length}`,
);
