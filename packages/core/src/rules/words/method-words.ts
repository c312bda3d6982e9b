import type { Method } from '../../model/method.js';
import type { Level, Movement } from '../../model/movement.js';

const ELBOW = {
  straight: 'Elbows straight, inner side facing forward.',
  soft: 'Elbows slightly bent, so muscle carries the load.',
} as const;
const PRESSURE = {
  even: 'Weight even over the whole hand.',
  fingers: 'Press the finger pads, keep the heel of the hand light.',
} as const;

/** A movement's cues as this method words them: what a planted hand and its elbow should do comes from the method, not from the movement. */
export function cuesFor(movement: Movement, level: Level, method: Method): string[] {
  if (level.loading !== 'planted') return [...movement.cues];
  const flat = level.contact === 'open palm';
  const bears = level.load.kind === 'body' && level.load.stance.elbowBendDeg < 20;
  // A cue of the movement that says the same, or the contrary, gives way.
  const other = movement.cues.filter(
    (cue) => !(bears && /elbow/i.test(cue)) && !(flat && /(heel|even|pads?|finger).*(press|weight|light)/i.test(cue)),
  );
  return [...(bears ? [ELBOW[method.elbow]] : []), ...(flat ? [PRESSURE[method.pressure]] : []), ...other];
}

/** What a session ends with, by the method's after-care. */
export const AFTER_CARE = {
  cold: 'Afterwards, cool the forearms for a few minutes if it feels good.',
  warmth: 'Afterwards, keep the hands warm and move them easily.',
} as const;

/** What is said of discomfort before a session. */
export const DISCOMFORT_RULE = {
  none: 'No discomfort allowed: take the easier level at the first sign.',
  mild: 'Mild discomfort is fine if it stops with the exercise and is gone the next morning.',
} as const;
