import { say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { adding, after, choose } from './choose.js';
import type { Check } from './finding.js';

/** Finds sequences without a contract–relax stretch, where the method wants one. */
export const contractRelax: Check = {
  id: 'contract-relax',
  title: 'No contract–relax stretch',
  severity: 'look',
  why: 'This method stretches by pushing gently against the resistance, then easing further.',
  source: 'training method',
  find: (view) => {
    const stretches = view.blocks.filter(({ level }) => level.load.kind === 'stretch');
    const pushes = stretches.some(({ level }) => level.load.kind === 'stretch' && level.load.pushPercent > 0);
    if (view.method.stretching !== 'contract–relax' || stretches.length === 0 || pushes) return [];
    const choice = choose(view, (_movement, { load }) => load.kind === 'stretch' && load.pushPercent > 0);
    const first = firstOf(stretches);
    const text = say`${first.movement.name}: held only. ${view.method.name} pushes against the resistance first, then eases further.`;
    return [
      {
        blockIds: stretches.map(({ block }) => block.id),
        text,
        fix: adding(view, 'range', choice, after(view, first)),
      },
    ];
  },
};
