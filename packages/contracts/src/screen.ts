import {
  day,
  HEALTH_ANSWERS,
  idOf,
  type Intake,
  list,
  type MovementOpen,
  type Of,
  optional,
  type PathEnd,
  record,
  type Screening,
  text,
  within,
} from '@clay-pot/core';
import type { Athlete } from './athletes.js';

export { INTAKE as INTAKE_INPUT, type Intake as IntakeInput } from '@clay-pot/core';

const AGE = { min: 5, max: 110, step: 1, unit: 'years' } as const;

/** Answers about health, of whom, and on which day. Nothing of it is stored. */
export const SCREEN_QUESTION = record({
  /** Whose age is read from the record, and whose cautions stand beside the answers. */
  athleteId: optional(idOf('an athlete')),
  ageYears: optional(within(AGE, 'Age')),
  /** The day of the answers; today when left out. */
  onDay: optional(day('Day')),
  ...HEALTH_ANSWERS,
  /** Answers to why it hurts, question by question, by their ids. */
  path: optional(list(text(40, 1), { max: 12 })),
});
/** Answers about health. */
export type ScreenQuestion = Of<typeof SCREEN_QUESTION>;

/** What follows from answers: verdict with reasons, what is off or capped, and where the path of why it hurts has come to. */
export interface ScreenAnswer extends Screening {
  /** The verdict in a sentence. */
  words: string;
  /** What of the shelf is open, movement by movement. */
  movements: MovementOpen[];
  /** What to try first, or the next question; null where no path was sent. */
  whyItHurts: PathEnd | null;
}

/** Answers as they are stored, with what followed from them on that day. */
export interface StoredIntake {
  id: string;
  answers: Intake;
  verdict: Screening['verdict'];
}

/** Answers that were recorded, and the record as it stands after them. */
export interface IntakeKept {
  intake: StoredIntake;
  screening: Screening;
  athlete: Athlete;
}
