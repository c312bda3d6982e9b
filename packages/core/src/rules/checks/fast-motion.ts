import { say } from '../../vocabulary/sentence.js';
import { easing, named } from './choose.js';
import { type Check, editsOf } from './finding.js';

/** Finds fast motion, where the method keeps everything slow. */
export const fastMotion: Check = {
  id: 'fast-motion',
  title: 'Fast movement in a slow method',
  severity: 'look',
  why: 'The method keeps every movement slow and controlled.',
  source: 'training method',
  find: (view) => {
    const fast = view.blocks.filter(({ level }) => isFast(level.dosing));
    if (view.method.speed !== 'slow' || fast.length === 0) return [];
    const edits = fast.flatMap((block) => editsOf(easing(view, block, ({ level }) => !isFast(level.dosing))));
    const text = say`${named(fast)}: done fast; ${view.method.name} keeps to slow movement.`;
    return [{ blockIds: fast.map(({ block }) => block.id), text, fix: { label: 'Use the slow level', edits } }];
  },
};
const isFast = (dosing: string) => dosing === 'fast-free-motion';
