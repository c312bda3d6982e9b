import { HEALTH, INTAKE, type Intake, list, type MovementOpen, type PathEnd, type Screening, type Sex, SEXES, text } from '@clay-pot/core';
import type { Athlete } from './athletes.js';
import { IsDay, IsId, IsWholeWithin, IsWord } from './validation/fields.js';
import { bodyOf, IsDocument } from './validation/is-document.js';
import { OptionalField } from './validation/optional-field.js';

/** Everything that is asked before training, as it is sent. */
export class IntakeInput extends bodyOf(INTAKE) {}

const AGE = { min: 5, max: 110, step: 1, unit: 'years' } as const;
const PATH = { words: 40, steps: 12 } as const;

/** Answers about health, of whom, and on which day. Nothing of it is stored. */
export class ScreenQuestion extends bodyOf(HEALTH) {
  /** Whose age is read from the record, and whose cautions stand beside the answers. */
  @OptionalField()
  @IsId('an athlete')
  readonly athleteId?: string;
  @OptionalField()
  @IsWholeWithin(AGE, 'Age')
  readonly ageYears?: number;
  /** For bones that still grow; that of the record when left out. */
  @OptionalField()
  @IsWord(SEXES, 'Sex')
  readonly sex?: Sex;
  /** The day of the answers; today when left out. */
  @OptionalField()
  @IsDay('Day')
  readonly onDay?: string;
  /** Answers to why it hurts, question by question, by their ids. */
  @OptionalField()
  @IsDocument(list(text(PATH.words, 1), { max: PATH.steps }))
  readonly path?: readonly string[];
}

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

/** A stored check-in, and the athlete’s record after it. */
export interface IntakeSaved {
  intake: StoredIntake;
  screening: Screening;
  athlete: Athlete;
}
