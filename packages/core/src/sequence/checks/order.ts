import { type Direction, MAIN_DIRECTIONS } from '../../account/coverage.js';
import type { Phase } from '../sequence.js';
import { adding, choose } from './choose.js';
import { type Check, type Draft, type Fix, PRACTICE } from './finding.js';
import { type BlockView, ids, isFree, isWork, type SessionView } from './view.js';

const WARM_UP: readonly Phase[] = ['prepare', 'range'];
const inWarmUp = ({ block }: BlockView) => WARM_UP.includes(block.phase);
const bearsBody = ({ level }: BlockView) => level.load.kind === 'body' || level.load.kind === 'hang';

/** Easy rocks and touches below this effort are themselves the way into a range. Working value. */
const LOADS_FROM_PERCENT = 20;
const loads = (view: BlockView) => !isFree(view) && (view.effortPercent >= LOADS_FROM_PERCENT || bearsBody(view));

const rangeUnprepared: Check = {
  id: 'range-unprepared',
  title: 'Loaded before it was moved freely',
  severity: 'mend',
  why: 'A range is visited unloaded before it is loaded.',
  source: PRACTICE,
  find: (view) =>
    MAIN_DIRECTIONS.flatMap((direction): Draft[] => {
      const first = view.blocks.find((block) => loads(block) && block.visit.directions.includes(direction));
      if (!first) return [];
      const free = view.blocks.filter((block) => isFree(block) && block.visit.directions.includes(direction));
      if (free.some(({ index }) => index < first.index)) return [];
      const text = `${first.movement.name}: ${WORD[direction]} is loaded before the free hand has been there.`;
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
  const before = view.blocks[0]!.block.id;
  if (late && late.level.loading === 'unloaded') {
    const edits = [{ kind: 'move' as const, blockId: late.block.id, phase: 'prepare' as const, before }];
    return { label: `Bring ${late.movement.name.toLowerCase()} forward`, edits };
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

const bodyWeightEarly: Check = {
  id: 'body-weight-early',
  title: 'Body weight early in the warm-up',
  severity: 'mend',
  why: 'Body weight comes last in a warm-up, when free motion and stretches are done.',
  source: PRACTICE,
  find: ({ blocks }) => {
    // A shake that lets go after hard work is not the free part of a warm-up.
    const lastFree = blocks.findLastIndex(
      (block) => inWarmUp(block) && isFree(block) && block.movement.family !== 'settle',
    );
    const early = blocks.filter((block) => inWarmUp(block) && bearsBody(block) && block.index < lastFree);
    if (early.length === 0) return [];
    const edits = early.map(({ block }) => ({
      kind: 'move' as const,
      blockId: block.id,
      phase: 'range' as const,
      before: null,
    }));
    const text = `${early[0]!.movement.name}: body weight on the hands before the free part of the warm-up is over.`;
    return [{ blockIds: ids(early), text, fix: { label: 'Move it to the end of the warm-up', edits } }];
  },
};

const warmUpOver: Check = {
  id: 'warm-up-over',
  title: 'Warm-up harder than the training',
  severity: 'mend',
  why: 'A warm-up ends near the load that training will bring, not above it.',
  source: PRACTICE,
  find: (view) => {
    const most = (views: readonly BlockView[]) => Math.max(0, ...views.map(({ effortPercent }) => effortPercent));
    const training = view.blocks.filter(isWork);
    const limit = Math.max(most(training), LOADS_FROM_PERCENT);
    if (training.length === 0) return [];
    return view.blocks.flatMap((block): Draft[] => {
      if (!inWarmUp(block) || isFree(block) || block.effortPercent <= limit * 1.1) return [];
      const text = `${block.movement.name}: ${Math.round(block.effortPercent)} % effort in the warm-up; the training itself asks ${Math.round(limit)} %.`;
      const edits = [{ kind: 'move' as const, blockId: block.block.id, phase: 'load' as const, before: null }];
      return [{ blockIds: [block.block.id], text, fix: { label: 'Move it to load', edits } }];
    });
  },
};

const prepareMissing: Check = {
  id: 'prepare-missing',
  title: 'No warm-up before load',
  severity: 'mend',
  why: 'Circulation and free motion come first.',
  source: PRACTICE,
  find: (view) => {
    const loaded = view.blocks.filter(loads);
    if (loaded.length === 0 || view.blocks.some(({ block }) => block.phase === 'prepare')) return [];
    const free = choose(view, ({ family }, { loading }) => family === 'free-motion' && loading === 'unloaded', [
      'free.wrist-circles',
    ]);
    const text = 'It begins with load: there is no block in the phase prepare.';
    return [{ blockIds: [loaded[0]!.block.id], text, fix: adding(view, 'prepare', free) }];
  },
};

const settleMissing: Check = {
  id: 'settle-missing',
  title: 'No settling at the end',
  severity: 'mend',
  why: 'Shakes, long easy stretches and quiet breathing end a session.',
  source: PRACTICE,
  find: (view) => {
    const loaded = view.blocks.filter(loads);
    if (loaded.length === 0 || view.blocks.some(({ block }) => block.phase === 'settle')) return [];
    const wanted = view.method.afterCare === 'warmth' ? ['settle.warm-hands', 'settle.shakes'] : ['settle.shakes'];
    const settle = choose(view, ({ family }, { loading }) => family === 'settle' && loading === 'unloaded', wanted);
    const text = 'It ends with load: there is no block in the phase settle.';
    return [{ blockIds: [loaded.at(-1)!.block.id], text, fix: adding(view, 'settle', settle) }];
  },
};

export const ORDER_CHECKS = [rangeUnprepared, bodyWeightEarly, warmUpOver, prepareMissing, settleMissing];
