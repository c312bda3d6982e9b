import { quantity, say } from '../../vocabulary/sentence.js';
import { adding, choose } from './choose.js';
import { type Check, PRACTICE } from './finding.js';
import { isWhole } from './whole.js';
import { DIGITS } from '../../vocabulary/digits.js';

/** Fingers work alike when each has a fifth or a quarter; below this share the little side lags. Working value. */
export const LITTLE_SIDE_SHARE = 0.1;
/** Finds sequences in which ring and little finger get nothing of their own. */
export const littleSideForgotten: Check = {
  id: 'little-side-forgotten',
  title: 'Ring and little finger left out',
  severity: 'look',
  why: 'Ring and little finger do much of the holding and rarely get trained.',
  source: PRACTICE,
  find: (view) => {
    const { digits } = view.balance;
    const worksFingers = DIGITS.some((digit) => digits[digit] > 0);
    if (!isWhole(view) || (worksFingers && Math.min(digits.ring, digits.little) >= LITTLE_SIDE_SHARE)) return [];
    const choice = choose(view, ({ id }) => id === 'grip.ring-little-squeeze' || id === 'free.finger-waves', [
      'grip.ring-little-squeeze',
      'free.finger-waves',
    ]);
    const phase = choice?.level.loading === 'unloaded' ? 'prepare' : 'strength';
    const text = say`Ring and little finger do ${quantity(100 * (digits.ring + digits.little), '%')} of the work of fingers and thumb.`;
    return [{ blockIds: [], text, fix: adding(view, phase, choice) }];
  },
};
