import { itemAt } from '../../vocabulary/lists.js';
import type { Check } from './finding.js';

/** Fewer blocks that are the same as last time than this share are a new routine. Working value. */
export const SAME_SHARE = 0.5;
/** More of them are the same one. Working value. */
export const REPEATED_SHARE = 0.9;

/** Finds routines that change or stay against the method. */
export const variety: Check = {
  id: 'variety',
  title: 'Routine kept or changed against the method',
  severity: 'look',
  why: 'A routine that stays can be measured by; one that rotates keeps attention.',
  source: 'policy of the method',
  find: ({ past, blocks, method }) => {
    const last = past.slice(-2);
    if (last.length < 2 || blocks.length === 0) return [];
    const shares = last.map(({ movementIds }) => blocks.filter(({ movement }) => movementIds.includes(movement.id)).length / blocks.length);
    if (method.variety === 'rotate' && shares.every((share) => share > REPEATED_SHARE)) {
      return [{ blockIds: [], text: `The last two sessions had the same movements; ${method.name} rotates them.` }];
    }
    const changed = method.variety === 'same' && itemAt(shares, 1) < SAME_SHARE;
    return changed
      ? [
          {
            blockIds: [],
            text: `Most movements are new since the last session; ${method.name} keeps the routine to measure by.`,
          },
        ]
      : [];
  },
};
