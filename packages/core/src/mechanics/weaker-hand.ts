import { capacityOf, type Person } from './capacity.js';
import type { Hand } from '../vocabulary/hands.js';

/** Hands differ by a tenth as a matter of course (Petersen et al. 1989); beyond, the lesser one counts as weaker. */
const USUAL_DIFFERENCE = 1.1;

/** The weaker hand by measured grip; null when there is no such measure, or no difference to speak of. */
export function weakerHand(person: Person): Hand | null {
  const [left, right] = [capacityOf(person, 'grip', 'left'), capacityOf(person, 'grip', 'right')];
  if (left.source !== 'measured' || right.source !== 'measured') return null;
  if (left.value * USUAL_DIFFERENCE < right.value) return 'left';
  return right.value * USUAL_DIFFERENCE < left.value ? 'right' : null;
}
