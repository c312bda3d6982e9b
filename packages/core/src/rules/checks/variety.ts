import { say } from '../../vocabulary/sentence.js';
import type { Check } from './finding.js';

/** Fewer blocks that are the same as last time than this share are a new routine. Working value. */
export const SAME_SHARE = 0.5;
/** Fewer than this are another routine altogether. Working value. */
const KIN_SHARE = 0.25;
/** How many sessions back a routine is remembered. */
const REMEMBERED = 8;
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
    const sharedWith = (ids: readonly string[]) => blocks.filter(({ movement }) => ids.includes(movement.id)).length / blocks.length;
    const shares = last.map(({ movementIds }) => sharedWith(movementIds));
    if (method.variety === 'rotate' && shares.every((share) => share > REPEATED_SHARE)) {
      return [{ blockIds: [], text: say`The last two sessions used the same movements. ${method.name} rotates them.` }];
    }
    // A routine of its own is no change of another: days that take turns, a class, a cool-down.
    const nearest = Math.max(...past.slice(-REMEMBERED).map(({ movementIds }) => sharedWith(movementIds)));
    const changed = method.variety === 'same' && nearest < SAME_SHARE && nearest >= KIN_SHARE;
    return changed
      ? [
          {
            blockIds: [],
            text: say`Most movements are new since this routine was last done. ${method.name} keeps the routine so progress can be measured.`,
          },
        ]
      : [];
  },
};
