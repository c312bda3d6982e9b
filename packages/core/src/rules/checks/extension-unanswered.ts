import { say } from '../../vocabulary/sentence.js';
import type { Movement } from '../../model/movement.js';
import { ids } from './block-views.js';
import { adding, choose } from './choose.js';
import { comesAfter } from './order-of-turns.js';
import { type Check, PRACTICE } from './finding.js';

/** Finds loaded extension without flexion or hanging after it. */
export const extensionUnanswered: Check = {
  id: 'extension-unanswered',
  title: 'Loaded extension without flexion',
  severity: 'mend',
  why: 'Floor work keeps the wrists in loaded extension. Balance it with flexion and hanging.',
  source: PRACTICE,
  find: (view) => {
    const extended = view.blocks.filter(({ level, visit }) => level.loading === 'planted' && visit.directions.includes('extension'));
    const first = extended[0];
    if (!first) return [];
    const isAnswered = view.blocks.some(
      (block) => comesAfter(view, block, first) && (block.visit.directions.includes('flexion') || block.level.load.kind === 'hang'),
    );
    if (isAnswered) return [];
    const bends = ({ motions }: Movement) => motions.includes('wrist flexion');
    const stretch =
      choose(view, (movement) => movement.family === 'settle' && bends(movement), ['settle.long-extensors']) ??
      choose(view, (movement, { loading }) => loading === 'unloaded' && bends(movement), ['free.bending-waves']);
    const text = say`${first.movement.name}: loads the wrist in extension, and no later block flexes it.`;
    return [{ blockIds: ids(extended), text, fix: adding(view, 'settle', stretch) }];
  },
};
