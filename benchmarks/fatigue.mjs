// Fatigue of a 60-minute session over 24 muscle groups, in closed form, beside Runge–Kutta of the fourth order at 10 ms.
//   ./clay-pot test types   (builds the core)   then   node benchmarks/fatigue.mjs, or in Chromium: node benchmarks/in-chromium.mjs fatigue.mjs
import { fatigueCourses, RATES, SIDE_GROUPS } from '@clay-pot/core';
import { sized } from './small.mjs';

const MINUTES = 60;
const REPETITION_S = 4;
const REST_S = 6;
const ROUNDS = sized(31, 3);

/** Every group works at its own effort, four seconds on and six off, for an hour. */
function session() {
  const spans = new Map(
    SIDE_GROUPS.map((key, index) => {
      const list = [];
      for (let at = 0; at < MINUTES * 60; at += REPETITION_S + REST_S) {
        list.push({
          blockId: 'b',
          startMs: at * 1000,
          endMs: (at + REPETITION_S) * 1000,
          effort: 0.2 + (index % 12) * 0.04,
          charged: 0.2 + (index % 12) * 0.04,
          logSd: 0.35,
        });
      }
      return [key, list];
    }),
  );
  return { spans, durationMs: MINUTES * 60_000, demands: [], impossible: [] };
}

/** The same system, stepped blindly: what is compared is time for the same answer. */
function stepped({ spans, durationMs }, { fatiguePerS: F, recoveryPerS, restMultiplier }) {
  const h = 0.01;
  const lowest = [];
  for (const list of spans.values()) {
    let [a, f, least, next] = [0, 0, 1, 0];
    for (let ms = 0; ms < durationMs; ms += h * 1000) {
      while (next < list.length && list[next].endMs <= ms) next++;
      const target = next < list.length && list[next].startMs <= ms ? list[next].effort : 0;
      const R = target > 0 ? recoveryPerS : recoveryPerS * restMultiplier;
      const da = (x, y) => (x < target ? 10 * Math.min(1 - x - y, target - x) : 10 * (target - x)) - F * x;
      const df = (x, y) => F * x - R * y;
      const [a1, f1] = [da(a, f), df(a, f)];
      const [a2, f2] = [da(a + (h / 2) * a1, f + (h / 2) * f1), df(a + (h / 2) * a1, f + (h / 2) * f1)];
      const [a3, f3] = [da(a + (h / 2) * a2, f + (h / 2) * f2), df(a + (h / 2) * a2, f + (h / 2) * f2)];
      const [a4, f4] = [da(a + h * a3, f + h * f3), df(a + h * a3, f + h * f3)];
      a += (h / 6) * (a1 + 2 * a2 + 2 * a3 + a4);
      f += (h / 6) * (f1 + 2 * f2 + 2 * f3 + f4);
      least = Math.min(least, 1 - f);
    }
    lowest.push(least);
  }
  return lowest;
}

const work = session();
const time = (run) => {
  const start = performance.now();
  const result = run();
  return { ms: performance.now() - start, result };
};
for (let round = 0; round < 40; round++) fatigueCourses(work);
const closed = Array.from({ length: ROUNDS }, () => time(() => fatigueCourses(work)));
const fixed = time(() => stepped(work, RATES.handGrip));
const ms = closed.map((round) => round.ms).sort((a, b) => a - b);
const middle = ms[Math.floor(ROUNDS / 2)];
// Grip rates are what the stepped loop uses: compare the groups that share them.
const grip = SIDE_GROUPS.map((key, index) => [key, index]).filter(([key]) => !/elbow|shoulder/.test(key));
const off = Math.max(...grip.map(([key, index]) => Math.abs(closed[0].result.get(key).lowest - fixed.result[index])));
console.log(`events: ${work.spans.size} groups × ${work.spans.get(SIDE_GROUPS[0]).length} efforts and rests`);
console.log(`closed form: ${middle.toFixed(2)} ms, least ${ms[0].toFixed(2)}, most ${ms.at(-1).toFixed(2)}`);
console.log(
  `Runge–Kutta at 10 ms: ${fixed.ms.toFixed(0)} ms, ${(fixed.ms / middle).toFixed(0)} × as long; largest difference ${off.toExponential(1)}`,
);
