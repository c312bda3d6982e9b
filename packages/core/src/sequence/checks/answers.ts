import type { MuscleGroup } from '../../anatomy/motions.js';
import { HANDS } from '../../anatomy/sides.js';
import type { Movement } from '../../movement/movement.js';
import { adding, after, choose } from './choose.js';
import { type Check, type Draft, PRACTICE } from './finding.js';
import { type BlockView, ids, isFree, isWork, type SessionView } from './view.js';

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
    const last = grips.at(-1)!;
    const phase = last.block.phase === 'prepare' || last.block.phase === 'range' ? 'strength' : last.block.phase;
    return [{ blockIds: ids(grips), text, fix: adding(view, phase, opening, after(view, last)) }];
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
    const bends = ({ motions }: Movement) => motions.includes('wrist flexion');
    const stretch =
      choose(view, (movement) => movement.family === 'settle' && bends(movement), ['settle.long-extensors']) ??
      choose(view, (movement, { loading }) => loading === 'unloaded' && bends(movement), ['free.bending-waves']);
    const text = `${first.movement.name}: the bent-back wrist is loaded; nothing bends it the other way afterwards.`;
    return [{ blockIds: ids(extended), text, fix: adding(view, 'settle', stretch) }];
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

/** What hard work, strength and loaded extension want to be followed by. */
export const ANSWER_CHECKS = [noRelease, antagonist, gripUnanswered, extensionUnanswered, stretchAfterStrength];
