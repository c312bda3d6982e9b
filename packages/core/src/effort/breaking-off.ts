import { working } from '../vocabulary/constant.js';

/** A block that was said to be within somebody’s strength, and whether it was done to its end. */
export interface WithinStrength {
  /** By strength alone, 0–1. */
  readonly chance: number;
  readonly isWhole: boolean;
}

/** Blocks that strength carries for this share tell of the other reasons alone. */
const SURE = working(
  'Chance from which strength is no reason',
  0.9,
  'of 1',
  'what still ends early does so for time, attention or discomfort',
  [0.85, 0.98],
).value;
const USUAL = working(
  'Blocks done to their end where strength carries them',
  0.95,
  'of 1',
  'one block in twenty ends early for other reasons',
  [0.9, 0.99],
).value;
const USUAL_WEIGHT = working('Weight of what is usual', 20, 'blocks', 'a few sessions of the athlete outweigh it', [10, 40]).value;

/**
 * How often somebody does to its end what strength would carry: what is usual, moved by their own blocks (a beta-binomial mean; Gelman et al. 2013, Bayesian Data
 * Analysis, ch. 2). Without any it is what is usual. @param blocks what is known, in any order @returns 0–1
 */
export function keepsAtIt(blocks: readonly WithinStrength[]): number {
  const telling = blocks.filter(({ chance }) => chance >= SURE);
  const whole = telling.filter(({ isWhole }) => isWhole).length;
  return (USUAL * USUAL_WEIGHT + whole) / (USUAL_WEIGHT + telling.length);
}
