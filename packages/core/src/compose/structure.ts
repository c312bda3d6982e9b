import type { Candidate } from './candidate.js';
import type { RuleId } from './rule-id.js';
import type { WantWorth } from './worth.js';

/** Amounts of some candidates, by their index. */
export type Amounts = readonly (readonly [index: number, amount: number])[];

/** A sum over the chosen that has to lie between bounds. */
export interface Sum {
  readonly rule: RuleId;
  readonly about?: string;
  readonly amounts: Amounts;
  readonly min: number;
  readonly max: number;
}

/** Whoever asks is chosen only with at least one that answers. */
export interface Answered {
  readonly rule: RuleId;
  /** What asks, and what answers it, in words. */
  readonly about: string;
  readonly asking: readonly number[];
  readonly answers: readonly number[];
}

/** Two sums that stay within a ratio, or are too small together to compare. */
export interface Pair {
  readonly about: string;
  readonly first: Amounts;
  readonly second: Amounts;
  readonly band: number;
  /** Whether the second may not outweigh the first, either. */
  readonly bothWays: boolean;
  readonly worthComparing: number;
}

/**
 * The rules of a composition as they are about candidates alone, without the unknowns that a linear programme takes to say them: what an exchange of one candidate
 * for another is judged by.
 */
export interface Structure {
  readonly candidates: readonly Candidate[];
  readonly own: readonly number[];
  readonly wants: readonly { readonly want: WantWorth; readonly counted: readonly number[] }[];
  readonly sums: readonly Sum[];
  readonly answered: readonly Answered[];
  readonly pairs: readonly Pair[];
  readonly secondsMost: number;
  readonly changesMost: number;
  /** Points that each place costs that is gone to; nothing where it is left out. */
  readonly visitCost?: number;
  /** By candidate: whether it lets go of hard work in its phase. */
  readonly releases: readonly boolean[];
}
