import { blockOf } from './block-views.js';
import { easing } from './choose.js';
import type { Check, Observation } from './finding.js';

/** Finds postures that the lengths of this body do not allow. */
export const impossiblePosture: Check = {
  id: 'impossible-posture',
  title: 'A posture that this body cannot take',
  severity: 'mend',
  why: 'Lengths of arms, legs and trunk do not close.',
  source: 'the body model',
  find: (view) =>
    view.efforts.impossible.map(({ blockId, message }): Observation => {
      const block = blockOf(view, blockId);
      return { blockIds: [blockId], text: `${block.movement.name}: ${message}`, fix: easing(view, block, () => true) };
    }),
};
