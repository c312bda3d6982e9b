import { quantity, say } from '../../vocabulary/sentence.js';
import { equipmentFor } from '../../model/movement.js';
import { AT_THE_START, moveTo, type Whereabouts } from '../../timeline/timeline.js';
import { type Check, type Observation, PRACTICE } from './finding.js';

/** More than a change of position in one place is a way. */
const A_WAY_S = 5;

/** Finds blocks that follow at once, and yet need another place or things that are not at hand. */
export const atOnceFar: Check = {
  id: 'at-once-far',
  title: 'At once, but somewhere else',
  severity: 'look',
  why: 'At once leaves no time to walk or to get equipment.',
  source: PRACTICE,
  find: ({ blocks }) => {
    let whereabouts: Whereabouts = AT_THE_START;
    return blocks.flatMap(({ block, movement, level }, index): Observation[] => {
      const { seconds, to } = moveTo(whereabouts, level.posture, equipmentFor(movement, level, block.dose));
      whereabouts = to;
      if (!block.atOnce || index === 0 || seconds < A_WAY_S) return [];
      const text = say`${movement.name} follows at once, but getting there takes about ${quantity(seconds, 's')}. Switch “at once” off, or choose a movement in the same place.`;
      return [{ blockIds: [block.id], text }];
    });
  },
};
