/**
 * The discomfort scale 0–10 and what follows from an answer. Thresholds after Thomeé 1997 (Phys Ther 77:1690–703), made
 * stricter: up to 2 needs no change, up to 4 holds the level, 5 and more eases or stops.
 */
export const DISCOMFORT_GO_ON_MAX = 2;
export const DISCOMFORT_HOLD_MAX = 4;

/** Sensations that end the session at once, whatever the score. */
export const STOP_SIGNS = {
  numbness: 'Numbness or tingling',
  pop: 'A pop, or sudden loss of strength',
  swelling: 'Swelling or a changed shape after a fall',
  colour: 'A hand that is cold, blue or white',
  sharp: 'Sharp pain',
} as const;
export type StopSign = keyof typeof STOP_SIGNS;
export const STOP_SIGN_IDS = Object.keys(STOP_SIGNS) as StopSign[];

export type DiscomfortAdvice = 'go-on' | 'hold-level' | 'ease-or-stop';

/**
 * What a discomfort of 0–10 during or right after a block asks for. Where a method allows none, each answer weighs one step more.
 */
export function adviseOnDiscomfort(score: number, allowed: 'none' | 'mild' = 'mild'): DiscomfortAdvice {
  if (allowed === 'none') {
    if (score === 0) return 'go-on';
    return score <= DISCOMFORT_GO_ON_MAX ? 'hold-level' : 'ease-or-stop';
  }
  if (score <= DISCOMFORT_GO_ON_MAX) return 'go-on';
  return score <= DISCOMFORT_HOLD_MAX ? 'hold-level' : 'ease-or-stop';
}

/** The advice in words for the athlete. */
export const DISCOMFORT_WORDS: Record<DiscomfortAdvice, string> = {
  'go-on': 'Go on.',
  'hold-level': 'Stay at this level; no harder today.',
  'ease-or-stop': 'Ease to a lower level or stop here.',
};

/** Stands on every printed or shared sheet and at the end of a stopped session. */
export const STOP_RULES = [
  'Stop if it hurts. Numbness or tingling: stop at once and have it looked at.',
  'Breathe all the time; never force a stretch with the other hand.',
  'When in doubt ask a licensed practitioner. Local rules come first.',
] as const;
