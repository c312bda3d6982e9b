import type { ComposeQuestion } from '@clay-pot/contracts';

/** A question for the API’s description. */
export const COMPOSE_EXAMPLE = {
  body: { sex: 'female', statureM: 1.66, massKg: 61, ageYears: 34 },
  goal: 'desk-hands',
  minutes: 20,
  equipment: ['mat', 'chair', 'table', 'towel'],
  methodId: 'daily-range',
  at: '2026-01-01T10:00:00.000Z',
} as const satisfies ComposeQuestion;

/** What it answers, in part: a test holds it against the answer. */
export const COMPOSE_ANSWERED = {
  durationMs: 1198000,
  wants: [
    { words: 'the whole hand moved freely', gotS: 264 },
    { words: 'range of the bent-back wrist', gotS: 134 },
    { words: 'range of the bent-in wrist', gotS: 140 },
    { words: 'opening against resistance', gotS: 126 },
    { words: 'thumb moved and stretched', gotS: 112 },
    { words: 'strength of the wrist extensors', gotS: 84 },
    { words: 'time to settle', gotS: 110 },
  ],
  findings: [],
  notes: [],
  giveUp: [],
};
