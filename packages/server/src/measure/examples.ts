import type { CriticalForceQuestion, TraceQuestion, TrendQuestion } from '@clay-pot/contracts';
import { answerCriticalForce, answerTrace, answerTrend } from '@clay-pot/core/answers';

/** A second of rest, up in four tenths of a second, three seconds held with a tremor, let go; twenty values a second. */
const SQUEEZE = Array.from({ length: 100 }, (_, index) => {
  const tS = index / 20;
  const held = Math.max(0, Math.min(1, (tS - 1) / 0.4, (4.6 - tS) / 0.2));
  return { tS, valueN: Math.round(10 * (held * 400 + 3 * Math.sin(7 * tS) * (held > 0 ? 1 : 0.2))) / 10 };
});
const trace: TraceQuestion = { samples: SQUEEZE, of: 'grip' };
const trend: TrendQuestion = {
  readings: [
    { onDay: '2026-01-05', value: 60 },
    { onDay: '2026-01-12', value: 62 },
    { onDay: '2026-01-19', value: 63 },
    { onDay: '2026-01-26', value: 66 },
    { onDay: '2026-02-02', value: 70 },
  ],
  goal: 80,
};
const noise: TrendQuestion = {
  readings: trend.readings.map(({ onDay }, index) => ({ onDay, value: [60, 66, 59, 63, 61][index] ?? 60 })),
  goal: 80,
};
const allOut: CriticalForceQuestion = {
  contractionsN: Array.from({ length: 24 }, (_, index) => Math.round(180 + 220 * Math.exp(-index / 4))),
};

/** Questions and the core’s own answers, for the API’s description: they cannot go stale. */
export const EXAMPLES = {
  trace: { questions: { squeeze: { summary: 'One squeeze, twenty values a second', value: trace } }, answer: answerTrace(trace) },
  trend: {
    questions: {
      rising: { summary: 'Extension over five weeks, and a goal', value: trend },
      noise: { summary: 'Readings that go up and down', value: noise },
    },
    answer: answerTrend(trend),
  },
  criticalForce: {
    questions: { allOut: { summary: 'An all-out test: 24 × 7 s on, 3 s off', value: allOut } },
    answer: answerCriticalForce(allOut),
  },
};
