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
  durationMs: 1197000,
  wants: [
    { words: 'free movement of the whole hand', gotS: 240 },
    { words: 'wrist extension range', gotS: 110 },
    { words: 'wrist flexion range', gotS: 110 },
    { words: 'hand opening against resistance', gotS: 168 },
    { words: 'thumb movement and stretch', gotS: 128 },
    { words: 'strength of the wrist extensors', gotS: 84 },
    { words: 'time to cool down', gotS: 80 },
  ],
  findings: [],
  notes: [],
  giveUp: [],
};
