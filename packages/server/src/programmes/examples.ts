import type { EvaluateQuestion } from '@clay-pot/contracts';

/** Two sessions, one of them in an easier week. The sequence is sent along: the programme names one that nobody has. */
export const EVALUATE_EXAMPLE = {
  body: { sex: 'female', statureM: 1.66, massKg: 61, ageYears: 34 },
  today: '2026-01-05',
  programme: {
    title: 'Two weeks of open hands',
    methodId: 'daily-range',
    fromDay: '2026-01-05',
    weeks: [
      { kind: 'build', amountPercent: 100 },
      { kind: 'easier', amountPercent: 60 },
    ],
    plans: [{ id: 'hands', sequenceId: '0192f0c4-7b1e-7abc-8abc-0123456789ab' }],
    sessions: [
      { id: 's1', day: '2026-01-06', planId: 'hands' },
      { id: 's2', day: '2026-01-13', planId: 'hands' },
    ],
  },
  sequences: [
    {
      planId: 'hands',
      sequence: {
        title: 'Open hands',
        purpose: 'Opening against a band.',
        budgetMin: 10,
        pacing: { announceS: 5, changeSidesS: 3, breathInS: 4, breathOutS: 6 },
        blocks: [
          {
            id: 'b1',
            phase: 'strength',
            movementId: 'isometric.finger-spread',
            levelId: 'gentle',
            dose: {
              sets: 2,
              work: { kind: 'repetitions', count: 8 },
              sides: 'left-then-right',
              directions: 'none',
              effortPercent: 30,
              holdS: 5,
              restS: 20,
            },
          },
        ],
      },
    },
  ],
} as const satisfies EvaluateQuestion;

/** What it answers, in part: a test holds it against the answer. */
export const EVALUATE_ANSWERED = {
  weeks: [
    {
      monday: '2026-01-05',
      kind: 'build',
      amountPercent: 100,
      sessions: [{ id: 's1', title: 'Open hands', state: 'planned', loads: true }],
    },
    {
      monday: '2026-01-12',
      kind: 'easier',
      amountPercent: 60,
      sessions: [{ id: 's2', title: 'Open hands', state: 'planned', loads: true }],
    },
  ],
  findings: [],
};
