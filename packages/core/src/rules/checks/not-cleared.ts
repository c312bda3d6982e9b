import { cautionAdvice, forbidsLoading, handsOf } from '../safety/cautions.js';
import { otherHandWaits } from '../safety/clearance.js';
import { handsUsed } from '../safety/hands-used.js';
import { workIn } from '../gate/moments.js';
import { waitsFor } from '../gate/restrictions.js';
import type { BlockView } from '../../effort/session-view.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Edit } from '../../model/edits.js';
import { type Hand, otherHand } from '../../vocabulary/hands.js';
import { capital, counted } from '../../vocabulary/text.js';
import { ids } from './block-views.js';
import type { Check, Fix, Observation } from './finding.js';

/** Loads that must wait for clearance: a rule, not an opinion. */
export const notCleared: Check = {
  id: 'not-cleared',
  title: 'Not cleared for loading',
  severity: 'stop',
  stopRule: true,
  why: 'Only free, unloaded movement until a doctor or therapist clears the hand.',
  source: 'restriction and referral rules',
  find: ({ athlete, blocks }) =>
    (athlete?.cautions ?? []).filter(forbidsLoading).flatMap((entry): Observation[] => {
      const waiting = blocks.filter((view) => waitsFor(entry, workIn(view)));
      if (waiting.length === 0) return [];
      return [{ blockIds: ids(waiting), text: cautionAdvice(entry), fix: sparing(entry, waiting) }];
    }),
};

/** The other hand alone where it may do the block by itself; out where it may not. */
function sparing(entry: RecordedCaution, waiting: readonly BlockView[]): Fix {
  const [hand, second] = handsOf(entry);
  const free = hand && !second ? otherHand(hand) : null;
  const edits = waiting.map((view): Edit => {
    const { id, dose } = view.block;
    return free && mayBeLeftTo(entry, view, free)
      ? { kind: 'change', blockId: id, dose: { ...dose, sides: free } }
      : { kind: 'remove', blockId: id };
  });
  const out = edits.filter(({ kind }) => kind === 'remove').length;
  const kept = edits.length - out;
  const parts = [
    kept > 0 && `do ${counted(kept, 'block')} with the ${free} hand only`,
    out > 0 && `remove ${counted(out, 'block')}`,
  ].filter(Boolean);
  return { label: capital(parts.join(', ')), edits };
}

/** By the free hand alone, where nothing then rests on the other one, and it need not help. */
const mayBeLeftTo = (entry: RecordedCaution, { movement, level }: BlockView, free: Hand) =>
  movement.sides.includes(free) && handsUsed(level, free).every((hand) => hand === free) && !otherHandWaits(entry, movement, level, free);
