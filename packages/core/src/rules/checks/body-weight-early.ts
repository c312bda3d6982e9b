import { say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { ids, isFree } from './block-views.js';
import { type Check, PRACTICE } from './finding.js';
import { bearsBody, inWarmUp } from './warm-up.js';

/** Finds body weight on the hands before the free part of the warm-up is over. */
export const bodyWeightEarly: Check = {
  id: 'body-weight-early',
  title: 'Body weight too early in the warm-up',
  severity: 'mend',
  why: 'In a warm-up, body weight comes last, after free movement and stretches.',
  source: PRACTICE,
  find: ({ blocks }) => {
    // A shake that lets go after hard work is not the free part of a warm-up.
    const lastFree = blocks.findLastIndex((block) => inWarmUp(block) && isFree(block) && block.movement.family !== 'settle');
    const early = blocks.filter((block) => inWarmUp(block) && bearsBody(block) && block.index < lastFree);
    if (early.length === 0) return [];
    const edits = early.map(({ block }) => ({
      kind: 'move' as const,
      blockId: block.id,
      phase: 'range' as const,
      before: null,
    }));
    const text = say`${firstOf(early).movement.name}: puts body weight on the hands before the free part of the warm-up is finished.`;
    return [{ blockIds: ids(early), text, fix: { label: 'Move it to the end of the warm-up', edits } }];
  },
};
