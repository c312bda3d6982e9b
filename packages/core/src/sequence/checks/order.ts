import { type Direction, MAIN_DIRECTIONS } from '../../account/coverage.js';
import type { MuscleGroup } from '../../anatomy/motions.js';
import { HANDS } from '../../anatomy/sides.js';
import type { Phase } from '../sequence.js';
import { adding, after, choose } from './choose.js';
import { type Check, type Draft, type Fix, PRACTICE } from './finding.js';
import type { BlockView, SessionView } from './view.js';

const WARM_UP: readonly Phase[] = ['prepare', 'range'];
const WORK: readonly Phase[] = ['load', 'strength', 'skill'];
const inWarmUp = ({ block }: BlockView) => WARM_UP.includes(block.phase);
const isWork = ({ block }: BlockView) => WORK.includes(block.phase);
const isFree = ({ level }: BlockView) => level.loading === 'unloaded' || level.loading === 'assisted';
const bearsBody = ({ level }: BlockView) => level.load.kind === 'body' || level.load.kind === 'hang';
const ids = (views: readonly BlockView[]) => views.map(({ block }) => block.id);

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

/** Moves what comes too late to the front, or adds a free movement that goes there. */
function visitFirst(view: SessionView, direction: Direction, late: BlockView | undefined): Fix | undefined {
  if (late && late.level.loading === 'unloaded') {
    const edits = [{ kind: 'move' as const, blockId: late.block.id, phase: 'prepare' as const, before: null }];
    return { label: `Bring ${late.movement.name.toLowerCase()} forward`, edits };
  }
  const named = direction === 'flexion' || direction === 'extension' ? 'flexion' : 'deviation';
  const wanted = choose(
    view,
    ({ motions, family }, { loading }) =>
      loading === 'unloaded' && family === 'free-motion' && motions.some((motion) => motion.includes(named)),
    ['free.wrist-circles'],
  );
  return adding(view, 'prepare', wanted);
}

const bodyWeightEarly: Check = {
  id: 'body-weight-early',
  title: 'Body weight early in the warm-up',
  severity: 'mend',
  why: 'Body weight comes last in a warm-up, when free motion and stretches are done.',
  source: PRACTICE,
  find: ({ blocks }) => {
    const lastFree = blocks.findLastIndex((block) => inWarmUp(block) && isFree(block));
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

const isRelease = (hard: BlockView, next: BlockView | undefined) =>
  next !== undefined && !next.hard && (isFree(next) || next.movement.family === 'settle' || worksAgainst(hard, next));
const worksAgainst = (hard: BlockView, next: BlockView) =>
  next.movement.trains.some((group) => hard.movement.trains.some((worked) => OPPOSITE[worked] === group));

const noRelease: Check = {
  id: 'no-release',
  title: 'No release after hard work',
  severity: 'mend',
  why: 'A shake, a stretch or the opposite motion follows each hard block.',
  source: PRACTICE,
  find: (view) =>
    view.blocks.flatMap((block): Draft[] => {
      if (!block.hard || isRelease(block, view.blocks[block.index + 1])) return [];
      const shake = choose(view, ({ id }) => id.startsWith('settle.shakes'), ['settle.shakes']);
      const text = `${block.movement.name}: ${Math.round(block.effortPercent)} % effort, and nothing lets go after it.`;
      return [{ blockIds: [block.block.id], text, fix: adding(view, block.block.phase, shake, after(view, block)) }];
    }),
};

const OPPOSITE: Partial<Record<MuscleGroup, MuscleGroup>> = {
  'wrist flexors': 'wrist extensors',
  'wrist extensors': 'wrist flexors',
  'radial deviators': 'ulnar deviators',
  'ulnar deviators': 'radial deviators',
  pronators: 'supinators',
  supinators: 'pronators',
  'finger flexors': 'finger extensors',
  'finger extensors': 'finger flexors',
};

/** A group is strengthened from this share of its maximum on, answered from the next. Working values. */
const STRENGTHENED_PERCENT = 25;
const ANSWERED_PERCENT = 10;

const groupEffort = ({ efforts }: SessionView, blockId: string, group: MuscleGroup) =>
  100 *
  Math.max(
    0,
    ...HANDS.flatMap((hand) =>
      (efforts.spans.get(`${hand} ${group}`) ?? [])
        .filter((span) => span.blockId === blockId)
        .map(({ effort }) => effort),
    ),
  );
const stretches = ({ level, movement }: BlockView, group: MuscleGroup) =>
  level.load.kind === 'stretch' && movement.trains.includes(group);

/** Groups that are worked against resistance and get neither a stretch nor their opposite's work. */
function unanswered(view: SessionView, groups: readonly MuscleGroup[], counts: (block: BlockView) => boolean): Draft[] {
  return groups.flatMap((group): Draft[] => {
    const opposite = OPPOSITE[group]!;
    const worked = view.blocks.filter(
      (block) => isWork(block) && counts(block) && groupEffort(view, block.block.id, group) >= STRENGTHENED_PERCENT,
    );
    const first = worked[0];
    if (!first) return [];
    const isAnswered = view.blocks.some(
      (block) =>
        (block.level.loading !== 'unloaded' && groupEffort(view, block.block.id, opposite) >= ANSWERED_PERCENT) ||
        (block.index > first.index && stretches(block, group)),
    );
    if (isAnswered) return [];
    const stretch = choose(
      view,
      (movement, level) => level.load.kind === 'stretch' && movement.trains.includes(group),
      STRETCH_OF[group],
    );
    const text = `${first.movement.name}: the ${group} are strengthened; they are not stretched afterwards, and the ${opposite} do not work.`;
    return [{ blockIds: ids(worked), text, fix: adding(view, 'settle', stretch) }];
  });
}
const STRETCH_OF: Partial<Record<MuscleGroup, readonly string[]>> = {
  'wrist flexors': ['settle.long-flexors'],
  'wrist extensors': ['settle.long-extensors'],
  pronators: ['stretch.palm-up-turn'],
  supinators: ['stretch.palm-down-turn'],
};

const antagonist: Check = {
  id: 'antagonist-unanswered',
  title: 'A strengthened muscle without an answer',
  severity: 'mend',
  why: 'A strengthened muscle is then stretched, or its opposite worked.',
  source: PRACTICE,
  find: (view) =>
    unanswered(
      view,
      ['wrist flexors', 'wrist extensors', 'radial deviators', 'ulnar deviators', 'pronators', 'supinators'],
      ({ level }) => level.loading === 'resisted',
    ),
};

const gripUnanswered: Check = {
  id: 'grip-unanswered',
  title: 'Gripping without opening',
  severity: 'mend',
  why: 'Everyday life grips; opening against resistance is the counterweight.',
  source: PRACTICE,
  find: (view) => {
    const grips = view.blocks.filter(
      (block) =>
        block.level.loading === 'resisted' &&
        groupEffort(view, block.block.id, 'finger flexors') >= STRENGTHENED_PERCENT,
    );
    const opens = view.blocks.some(
      ({ block, movement, index }) =>
        groupEffort(view, block.id, 'finger extensors') >= ANSWERED_PERCENT ||
        (index > (grips[0]?.index ?? 0) && movement.motions.includes('finger spreading')),
    );
    if (grips.length === 0 || opens) return [];
    const opening = choose(view, ({ motions }) => motions.includes('finger spreading'), [
      'grip.band-opening',
      'isometric.finger-spread',
    ]);
    const text = `${grips[0]!.movement.name}: the hand closes; nothing opens it against resistance.`;
    return [{ blockIds: ids(grips), text, fix: adding(view, 'strength', opening) }];
  },
};

const extensionUnanswered: Check = {
  id: 'extension-unanswered',
  title: 'Loaded extension without flexion',
  severity: 'mend',
  why: 'Floor work keeps wrists in loaded extension; flexion and hanging are the counterweight.',
  source: PRACTICE,
  find: (view) => {
    const extended = view.blocks.filter(
      ({ level, visit }) => level.loading === 'planted' && visit.directions.includes('extension'),
    );
    const first = extended[0];
    if (!first) return [];
    const isAnswered = view.blocks.some(
      ({ index, visit, level }) =>
        index > first.index && (visit.directions.includes('flexion') || level.load.kind === 'hang'),
    );
    if (isAnswered) return [];
    const stretch = choose(view, ({ motions, family }) => family === 'settle' && motions.includes('wrist flexion'), [
      'settle.long-extensors',
    ]);
    const text = `${first.movement.name}: the bent-back wrist is loaded; nothing bends it the other way afterwards.`;
    return [{ blockIds: ids(extended), text, fix: adding(view, 'settle', stretch) }];
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
      if (!inWarmUp(block) || block.effortPercent <= limit * 1.1) return [];
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

const stretchAfterStrength: Check = {
  id: 'stretch-after-strength',
  title: 'Strength without its stretch',
  severity: 'look',
  why: 'This method stretches right after each strength block.',
  source: 'policy of the method',
  find: (view) => {
    if (view.method.stretching !== 'after each strength block') return [];
    return view.blocks.flatMap((block): Draft[] => {
      const next = view.blocks[block.index + 1];
      const strengthened = block.block.phase === 'strength' && block.effortPercent >= STRENGTHENED_PERCENT;
      if (!strengthened || block.level.load.kind === 'stretch') return [];
      const shared = (candidate: BlockView) =>
        candidate.movement.trains.some((group) => block.movement.trains.includes(group));
      if (next && next.level.load.kind === 'stretch' && shared(next)) return [];
      // A row of sets on one muscle is stretched once, after the last.
      if (next && next.block.phase === 'strength' && shared(next) && next.effortPercent >= STRENGTHENED_PERCENT)
        return [];
      const stretch = choose(
        view,
        (movement, level) =>
          level.load.kind === 'stretch' && movement.trains.some((group) => block.movement.trains.includes(group)),
      );
      const text = `${block.movement.name}: no stretch follows of what was strengthened.`;
      return [{ blockIds: [block.block.id], text, fix: adding(view, 'strength', stretch, after(view, block)) }];
    });
  },
};

export const ORDER_CHECKS = [
  rangeUnprepared,
  bodyWeightEarly,
  noRelease,
  antagonist,
  gripUnanswered,
  extensionUnanswered,
  warmUpOver,
  prepareMissing,
  settleMissing,
  stretchAfterStrength,
];
