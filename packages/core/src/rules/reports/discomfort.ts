import type { Policies } from '../../model/method.js';
/**
 * The discomfort scale 0–10 and what follows from an answer. Thresholds after Thomeé 1997 (Phys Ther 77:1690–703), made
 * stricter: up to 2 needs no change, up to 4 holds the level, 5 and more eases or stops.
 */
export const DISCOMFORT_GO_ON_MAX = 2;
/** Up to this the level is held. */
export const DISCOMFORT_HOLD_MAX = 4;

/** What a method allows. */
export type DiscomfortPolicy = Policies['discomfort'];

/** What follows from an answer. */
export type DiscomfortAdvice = 'go-on' | 'hold-level' | 'ease-or-stop';

/**
 * What a discomfort of 0–10 during or right after a block asks for. Where a method allows none, each answer weighs one step more.
 * @example adviseOnDiscomfort(3, 'none') → 'ease-or-stop'
 */
export function adviseOnDiscomfort(score: number, allowed: DiscomfortPolicy): DiscomfortAdvice {
  if (allowed === 'none') {
    if (score === 0) return 'go-on';
    return score <= DISCOMFORT_GO_ON_MAX ? 'hold-level' : 'ease-or-stop';
  }
  if (score <= DISCOMFORT_GO_ON_MAX) return 'go-on';
  return score <= DISCOMFORT_HOLD_MAX ? 'hold-level' : 'ease-or-stop';
}

/** What a score is called, whoever gave it and by whichever method: the same number has the same word. */
export type DiscomfortLevel = 'none' | 'mild' | 'moderate' | 'strong';

/** The word for a score of 0–10. @example discomfortLevel(3) → 'moderate' */
export function discomfortLevel(score: number): DiscomfortLevel {
  if (score <= 0) return 'none';
  if (score <= DISCOMFORT_GO_ON_MAX) return 'mild';
  return score <= DISCOMFORT_HOLD_MAX ? 'moderate' : 'strong';
}

const ASKS: Record<DiscomfortAdvice, string | null> = { 'go-on': null, 'hold-level': 'keep level', 'ease-or-stop': 'ease off' };
/** What a score asks for beside its word, and why where the method is stricter than the scale; null where it asks for nothing. @example discomfortAdviceText(1, 'none') → 'keep level: this method allows none' */
export function discomfortAdviceText(score: number, allowed: DiscomfortPolicy): string | null {
  const advice = adviseOnDiscomfort(score, allowed);
  const asks = ASKS[advice];
  return asks !== null && advice !== adviseOnDiscomfort(score, 'mild') ? `${asks}: this method allows none` : asks;
}

/** The lowest whole score that asks to ease or stop. @example easesFrom('mild') → 5 */
export const easesFrom = (allowed: DiscomfortPolicy): number =>
  SCORES.find((score) => adviseOnDiscomfort(score, allowed) === 'ease-or-stop') ?? Infinity;
const SCORES = [0, 1, 2, 3, 4, 5, 6, 7, 8, 9, 10];

/** The advice in words for the athlete. */
export const DISCOMFORT_WORDS: Record<DiscomfortAdvice, string> = {
  'go-on': 'Carry on.',
  'hold-level': 'Stay at this level; no harder today.',
  'ease-or-stop': 'Take an easier level or stop here.',
};
