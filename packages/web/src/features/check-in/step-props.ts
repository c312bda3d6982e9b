import type { Athlete } from '@clay-pot/contracts';
import type { Intake } from '@clay-pot/core';

/** What every step of the questions gets. */
export interface StepProps {
  readonly athlete: Athlete;
  readonly answers: Intake;
  readonly change: (change: Partial<Intake>) => void;
  /** What is wrong with a field, by its pointer. */
  readonly faultAt: (pointer: string) => string | undefined;
}
