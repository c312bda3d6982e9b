import { quantity, say } from '../../vocabulary/sentence.js';
import { rangeVerdict } from '../../mechanics/capacity.js';
import { easing } from './choose.js';
import { type Check, type Observation, PRACTICE } from './finding.js';
import { HANDS } from '../../vocabulary/hands.js';

/** Finds angles beyond the range that there is. */
export const rangeOver: Check = {
  id: 'range-over',
  title: 'Needs more range than available',
  severity: 'mend',
  why: 'Loading a range the wrist doesn’t have is how trouble starts.',
  source: PRACTICE,
  find: (view) =>
    view.blocks.flatMap((block): Observation[] => {
      const [past] = HANDS.flatMap((hand) => {
        if (block.account[hand].workS === 0) return [];
        return block.forms.flatMap(({ demand }) => {
          const { angle } = demand[hand];
          return angle && rangeVerdict(angle.deg, angle.rangeDeg) === 'past' ? [{ hand, angle }] : [];
        });
      });
      if (!past) return [];
      const { hand, angle } = past;
      const { deg, rangeDeg, rangeSource, motion } = angle;
      const text = say`${block.movement.name}: takes the ${hand} wrist to ${quantity(deg, '°')} of ${motion.replace('wrist ', '')}. Its passive range is ${quantity(rangeDeg, '°')} (${rangeSource}).`;
      return [{ blockIds: [block.block.id], text, fix: easing(view, block) }];
    }),
};
