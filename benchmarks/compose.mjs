// Composing twenty minutes from the whole library, for five people by five methods and eleven goals: how soon there is a sound answer, how near it is to the best after a
// second, how near it ends, and what taking the best piece by piece would have come to. Each question is asked cold, as by the API for somebody who was not asked about
// before; and prepared, as on a page that has found what is possible for them while the coach still says what is wanted.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/compose.mjs
import { candidatesFor, Choice, compose, composingOf, loadSolver, integerProgrammeOf, possibleFor } from '@clay-pot/core';
import { TRAINING_GOALS } from '@clay-pot/core/library';
import { PEOPLE, questionFor } from './people.mjs';
import { sized } from './small.mjs';

const SECOND_MS = 1000;
const MINUTES = sized(20, 8);

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
for (const person of Object.values(PEOPLE).slice(0, sized(Infinity, 1)))
  compose(questionFor(person, TRAINING_GOALS[0], MINUTES), solver, { better: () => false });

/** Asks, and follows the answer. @param forMs how long it is looked */
function followed(asked, forMs = Infinity) {
  const startedAt = performance.now();
  const elapsed = () => performance.now() - startedAt;
  let [firstMs, gapAtSecond] = [0, 100];
  const last = compose(asked, solver, {
    goOn: () => elapsed() < forMs,
    better: ({ gapPercent }) => {
      const ms = elapsed();
      firstMs ||= ms;
      if (ms <= SECOND_MS) gapAtSecond = gapPercent;
      return ms < forMs;
    },
  });
  return { firstMs, gapAtSecond, totalMs: elapsed(), last };
}

const rows = Object.entries(PEOPLE)
  .slice(0, sized(Infinity, 1))
  .flatMap(([who, person]) =>
    TRAINING_GOALS.slice(0, sized(Infinity, 1)).map((goal) => {
      const asked = questionFor(person, goal, MINUTES);
      const cold = followed(asked, SECOND_MS);
      const prepared = followed({ ...asked, possible: possibleFor(asked) });
      const { gapPercent, worth, findings } = prepared.last;
      return { who, goal: goal.id, cold, prepared, gapPercent, worth, greedy: greedy(asked), findings: findings.length };
    }),
  );
const median = (of) => rows.map(of).sort((a, b) => a - b)[rows.length >> 1];
const soon = ({ firstMs, gapAtSecond }) => `first ${firstMs.toFixed(0)} ms, gap at 1 s ${gapAtSecond.toFixed(2)} %`;
for (const { who, goal, cold, prepared, gapPercent, worth, greedy: piecewise, findings } of rows) {
  const figures = [
    `cold ${soon(cold)}`,
    `prepared ${soon(prepared)}`,
    `ends at ${gapPercent.toFixed(2)} % after ${(prepared.totalMs / 1000).toFixed(1)} s`,
    `worth ${worth.toFixed(1)}, piece by piece ${piecewise.toFixed(1)}`,
  ];
  console.log(`${who.padEnd(10)} ${goal.padEnd(18)} ${figures.join(' · ')}${findings > 0 ? ` · ${findings} findings` : ''}`);
}
const medians = (of) => soon({ firstMs: median((row) => of(row).firstMs), gapAtSecond: median((row) => of(row).gapAtSecond) });
const within = (of) => rows.filter((row) => of(row).gapAtSecond <= 1).length;
const [cold, prepared] = [(row) => row.cold, (row) => row.prepared];
console.log(`medians of ${rows.length}, cold: ${medians(cold)} (${within(cold)} within one percent)`);
console.log(
  `prepared: ${medians(prepared)} (${within(prepared)} within one percent); ends at ${median((row) => row.gapPercent).toFixed(2)} % after ${(median(({ prepared: { totalMs } }) => totalMs) / 1000).toFixed(1)} s`,
);
console.log(
  `never worse than piece by piece: ${rows.every(({ worth, greedy: piecewise }) => worth >= piecewise)}; with findings: ${rows.filter(({ findings }) => findings > 0).length}`,
);
