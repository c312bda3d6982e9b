import { capacityOf, type Person } from './capacity.js';
import type { Hand } from '../vocabulary/hands.js';
import { published } from '../vocabulary/constant.js';

/** Beyond it the lesser hand counts as weaker. */
const USUAL_DIFFERENCE = published(
  'Usual difference of the hands',
  1.1,
  'times',
  'Petersen et al. 1989, Am J Occup Ther 43(7):444–7',
).value;

/** The weaker hand by measured grip; null when there is no such measure, or no difference to speak of. */
export function weakerHand(person: Person): Hand | null {
  const [left, right] = [capacityOf(person, 'grip', 'left'), capacityOf(person, 'grip', 'right')];
  if (left.source !== 'measured' || right.source !== 'measured') return null;
  if (left.value * USUAL_DIFFERENCE < right.value) return 'left';
  return right.value * USUAL_DIFFERENCE < left.value ? 'right' : null;
}
