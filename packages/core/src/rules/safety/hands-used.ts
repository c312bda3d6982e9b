import type { Level } from '../../model/movement.js';
import { type Hand, HANDS, handsWorking, type SidePlan } from '../../vocabulary/hands.js';

/**
 * The hands that a level uses: those that work, and the one that rests weight beside them. A planted hand is loaded whether or not it is its turn.
 * On all fours the right palm lifts while the left one bears: both are used.
 */
export function handsUsed({ load, contact }: Pick<Level, 'load' | 'contact'>, sides: SidePlan): readonly Hand[] {
  const bearsBeside = load.kind === 'body' && contact !== 'none' && load.stance.leftShare < 1;
  return bearsBeside ? HANDS : handsWorking(sides);
}
