import { say } from '../../vocabulary/sentence.js';
import { itemAt } from '../../vocabulary/lists.js';
import type { Check } from './finding.js';

/** Fewer blocks that are the same as last time than this share are a new routine. Working value. */
export const SAME_SHARE = 0.5;
/** More of them are the same one. Working value. */
export const REPEATED_SHARE = 0.9;

/** Finds routines that change or stay against the method. */
export const variety: Check = {
  id: 'variety',
  title: 'Routine differs from the method',
  severity: 'look',
  why: 'A steady routine makes progress measurable; a rotating one keeps attention.',
  source: 'training method',
  find: ({ past, blocks, method }) => {
    const last = past.slice(-2);
    if (last.length < 2 || blocks.length === 0) return [];
    const shares = last.map(({ movementIds }) => blocks.filter(({ movement }) => movementIds.includes(movement.id)).length / blocks.length);
    if (method.variety === 'rotate' && shares.every((share) => share > REPEATED_SHARE)) {
      return [{ blockIds: [], text: say`The last two sessions used the same movements. ${method.name} rotates them.` }];
    }
    const changed = method.variety === 'same' && itemAt(shares, 1) < SAME_SHARE;
    return changed
      ? [
          {
            blockIds: [],
            text: say`Most movements are new since the last session. ${method.name} keeps the routine so progress can be measured.`,
          },
        ]
      : [];
  },
};
