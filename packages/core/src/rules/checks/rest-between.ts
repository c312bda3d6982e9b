import { breakFor, missingRests } from '../../effort/group-rests.js';
import { partsOf } from '../../vocabulary/muscles.js';
import { quantity, say } from '../../vocabulary/sentence.js';
import { capital } from '../../vocabulary/text.js';
import { blockOf } from './block-views.js';
import { type Check, type Observation, PRACTICE } from './finding.js';

/** Finds muscles that work again before the rest that their dose names is over. */
export const restBetween: Check = {
  id: 'rest-between',
  title: 'Too little rest between movements',
  severity: 'look',
  why: 'The rest of a dose holds until the same muscles work again. Work other muscles in between, or take a break.',
  source: PRACTICE,
  find: (view) =>
    [...missingRests(view)].map(([blockId, { key, fromId, restS, namedS }]): Observation => {
      const [before, block] = [blockOf(view, fromId), blockOf(view, blockId)];
      const breakS = (block.block.breakS ?? 0) + breakFor(namedS - restS);
      return {
        blockIds: [blockId],
        text: say`${block.movement.name}: ${capital(partsOf(key).group)} rest ${quantity(Math.max(0, Math.round(restS)), 's')} after ${before.movement.name}, whose dose names ${quantity(namedS, 's')}.`,
        fix: { label: say`Take a break of ${quantity(breakS, 's')} before it`, edits: [{ kind: 'change', blockId, breakS }] },
      };
    }),
};
