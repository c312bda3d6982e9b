/** Sensations that end the session at once, whatever the score. */
export const STOP_SIGNS = {
  numbness: 'Numbness or tingling',
  pop: 'A pop, or sudden loss of strength',
  swelling: 'Swelling or a changed shape after a fall',
  colour: 'A hand that is cold, blue or white',
  'thumb-hollow': 'Pain in the hollow at the base of the thumb after a fall',
  'hot-joint': 'A hot red joint, or fever',
  weakness: 'Sudden weakness',
  sharp: 'Sharp pain',
} as const;
/** A sign that ends a session. */
export type StopSign = keyof typeof STOP_SIGNS;
/** All stop signs, as they are listed. */
export const STOP_SIGN_IDS = Object.keys(STOP_SIGNS) as StopSign[];

/** After these a hand does nothing at all, free motion included, until somebody has looked at it. */
export const SIGNS_THAT_REST_THE_HAND: readonly StopSign[] = ['pop', 'swelling', 'colour', 'thumb-hollow', 'hot-joint', 'weakness'];

/** Stands on every printed or shared sheet and at the end of a stopped session. */
export const STOP_RULES = [
  'Stop if it hurts. Numbness or tingling: stop at once and have it checked.',
  'Keep breathing. Never force a stretch with the other hand.',
  'If in doubt, ask a doctor or hand therapist. Local rules come first.',
] as const;
