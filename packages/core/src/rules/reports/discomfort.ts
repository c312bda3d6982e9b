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
