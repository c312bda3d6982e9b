import { type Sentence } from '../vocabulary/sentence.js';
import type { Sequence } from '../model/sequence.js';
import type { Finding } from '../rules/checks/index.js';
import type { GiveUp } from './give-up.js';
import type { Binding, Reason } from './reasons.js';
import type { Excluded } from './candidate.js';

/** A composed sequence, and how near it is to the best that there could be. */
export interface Composed {
  readonly sequence: Sequence;
  readonly durationMs: number;
  /** What the programme maximises: the goal, and what is kept or stays of a routine besides. */
  readonly worth: number;
  /** How much of what the goal wants there is, percent. */
  readonly goalPercent: number;
  /** Nothing that keeps the rules can be worth more. */
  readonly bound: number;
  /** How much better the best could still be, percent. */
  readonly gapPercent: number;
  /** What the checks still say of it: what nothing on the shelf could have mended. */
  readonly findings: readonly Finding[];
  /** Why each block is there. */
  readonly reasons: () => readonly Reason[];
  /** What holds each want back that gets hardly anything, in the goal’s order; null for the others. */
  readonly heldBack: () => readonly (Sentence | null)[];
  /** How much of each want it has, in the goal’s order: seconds of each hand, and all that is wanted. */
  readonly wants: readonly { readonly words: string; readonly gotS: number; readonly targetS: number }[];
  readonly binding: readonly Binding[];
  readonly excluded: readonly Excluded[];
  /** What is to be known about goal and person before any of it. */
  readonly notes: readonly Sentence[];
}

/** Nothing keeps all that was asked: what would have to give way, or why there is nothing to choose from. */
export interface NotComposed {
  readonly giveUp: readonly GiveUp[];
  readonly excluded: readonly Excluded[];
  readonly notes: readonly Sentence[];
}

/** What is the same for everything that is found on the way to a composition. */
export type Frame = Pick<Composed, 'bound' | 'excluded' | 'notes' | 'binding'>;
