import { say } from '../../vocabulary/sentence.js';
import { blockOf } from './block-views.js';
import { easing } from './choose.js';
import type { Check, Observation } from './finding.js';

/** Finds postures that the lengths of this body do not allow. */
export const impossiblePosture: Check = {
  id: 'impossible-posture',
  title: 'Position not possible',
  severity: 'mend',
  why: 'The lengths of arms, legs and trunk don’t fit this position.',
  source: 'the body model',
  find: (view) =>
    view.efforts.impossible.map(({ blockId, message }): Observation => {
      const block = blockOf(view, blockId);
      return { blockIds: [blockId], text: say`${block.movement.name}: ${message}`, fix: easing(view, block) };
    }),
};
