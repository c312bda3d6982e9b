import { say } from '../../vocabulary/sentence.js';
import { firstOf } from '../../vocabulary/lists.js';
import { type Direction, MAIN_DIRECTIONS } from '../../effort/coverage.js';
import type { BlockView, SessionView } from '../../effort/session-view.js';
import { isFree } from './block-views.js';
import { adding, choose } from './choose.js';
import { type Check, type Fix, type Observation, PRACTICE } from './finding.js';
import { loads } from './warm-up.js';

/** Finds ranges that are loaded before they were moved freely. */
export const rangeUnprepared: Check = {
  id: 'range-unprepared',
  title: 'Loaded before moving freely',
  severity: 'mend',
  why: 'Move through a range without load before you load it.',
  source: PRACTICE,
  find: (view) =>
    MAIN_DIRECTIONS.flatMap((direction): Observation[] => {
      const first = view.blocks.find((block) => loads(block) && block.visit.directions.includes(direction));
      if (!first) return [];
      const free = view.blocks.filter((block) => isFree(block) && block.visit.directions.includes(direction));
      if (free.some(({ index }) => index < first.index)) return [];
      const text = say`${first.movement.name}: loads ${WORD[direction]} before the free hand has moved there.`;
      return [{ blockIds: [first.block.id], text, fix: visitFirst(view, direction, free[0]) }];
    }),
};
const WORD = {
  extension: 'extension',
  flexion: 'flexion',
  radial: 'the thumb side',
  ulnar: 'the little-finger side',
} as const;

/** Moves what comes too late to the very beginning, where nothing is tired yet, or adds a free movement that goes there. */
function visitFirst(view: SessionView, direction: Direction, late: BlockView | undefined): Fix | undefined {
  const before = firstOf(view.blocks).block.id;
  if (late && late.level.loading === 'unloaded') {
    const edits = [{ kind: 'move' as const, blockId: late.block.id, phase: 'prepare' as const, before }];
    return { label: say`Move ${late.movement.name.toLowerCase()} earlier`, edits };
  }
  const named = direction === 'flexion' || direction === 'extension' ? 'flexion' : 'deviation';
  const wanted = choose(
    view,
    ({ motions, family }, { loading }) =>
      loading === 'unloaded' && family === 'free-motion' && motions.some((motion) => motion.includes(named)),
    ['free.wrist-circles'],
  );
  return adding(view, 'prepare', wanted, before);
}
