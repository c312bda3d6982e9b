import { dosesWithin, hoursBetween, ofBothHands } from '../../account/past.js';
import { MUSCLE_GROUPS } from '../../anatomy/motions.js';
import { unusualInDose } from '../../dose/usual-ranges.js';
import { findLevel } from '../../movement/movement.js';
import { type Block, PHASES, SEQUENCE_LIMITS } from '../sequence.js';
import { applyEdits, type Edit } from '../edits.js';
import { adding, choose, missingFor, easing } from './choose.js';
import { compileTimeline } from '../../dose/compile-timeline.js';
import { type Check, type Draft, editsOf, PRACTICE } from './finding.js';
import type { BlockView, SessionView } from './view.js';

const equipmentMissing: Check = {
  id: 'equipment-missing',
  title: 'Something is not there',
  severity: 'mend',
  why: 'What is not in the room cannot be trained with.',
  source: 'the athlete’s record',
  find: (view) =>
    view.blocks.flatMap((block): Draft[] => {
      const missing = missingFor(view, block.movement, block.level);
      if (missing.length === 0) return [];
      const text = `${block.movement.name}: not at hand, ${missing.join(', ')}.`;
      return [{ blockIds: [block.block.id], text, fix: substitute(view, block) }];
    }),
};

/** An easier level without the thing, else a movement of the same family and muscles for which all is there. */
function substitute(view: SessionView, block: BlockView) {
  const eased = easing(view, block, () => true);
  if (editsOf(eased)[0]?.kind !== 'remove') return eased;
  const [main] = block.movement.trains;
  const choice = choose(
    view,
    (movement) =>
      movement.id !== block.movement.id &&
      movement.family === block.movement.family &&
      main !== undefined &&
      movement.trains.includes(main),
  );
  if (!choice) return eased;
  const { movement, level, dose } = choice;
  const edit: Edit = { kind: 'change', blockId: block.block.id, movementId: movement.id, levelId: level.id, dose };
  return { label: `Take ${movement.name.toLowerCase()} instead`, edits: [edit] };
}

const minutesOver: Check = {
  id: 'minutes-over',
  title: 'Longer than there is time',
  severity: 'mend',
  why: 'What is over time is what gets rushed, and it is always the settling.',
  source: 'the minutes that there are',
  find: (view) => {
    const overMs = view.timeline.durationMs - view.sequence.budgetMin * 60_000;
    if (overMs <= 0) return [];
    const edits = trimmed(view);
    const text = `${Math.ceil(overMs / 1000)} s over the ${view.sequence.budgetMin} minutes.`;
    if (edits) return [{ blockIds: [], text, fix: { label: 'Fewer sets where there are most', edits } }];
    const budgetMin = Math.ceil(view.timeline.durationMs / 60_000);
    if (budgetMin > SEQUENCE_LIMITS.budgetMin.max)
      return [{ blockIds: [], text: `${text} ${SEQUENCE_LIMITS.budgetMin.max} minutes are the most.` }];
    return [
      { blockIds: [], text, fix: { label: `Make it ${budgetMin} minutes`, edits: [{ kind: 'budget', budgetMin }] } },
    ];
  },
};

/** Takes a set from the longest block with several, until it fits; null when that is not enough. */
function trimmed(view: SessionView): Edit[] | null {
  let sequence = view.sequence;
  const budgetMs = sequence.budgetMin * 60_000;
  for (let round = 0; round < 60; round++) {
    const { blocks, durationMs } = compileTimeline(sequence, view.lookup);
    if (durationMs <= budgetMs) {
      return sequence.blocks.flatMap((block, index) => {
        const before = view.sequence.blocks[index]!;
        return block === before ? [] : [{ kind: 'change' as const, blockId: block.id, dose: block.dose }];
      });
    }
    const longest = blocks
      .map(({ startMs, endMs }, index) => ({ ms: endMs - startMs, block: sequence.blocks[index]! }))
      .filter(({ block }) => block.dose.sets > 1 && staysUsual(view, block))
      .sort((a, b) => b.ms - a.ms)[0];
    if (!longest) return null;
    const { id, dose } = longest.block;
    sequence = applyEdits(sequence, [{ kind: 'change', blockId: id, dose: { ...dose, sets: dose.sets - 1 } }]);
  }
  return null;
}

/** Whether a set less is not less than usual. */
function staysUsual(view: SessionView, { dose, movementId, levelId }: Block): boolean {
  const { dosing } = findLevel(view.lookup(movementId)!, levelId)!;
  return unusualInDose({ ...dose, sets: dose.sets - 1 }, dosing).length <= unusualInDose(dose, dosing).length;
}

const placeOf = ({ level }: BlockView) =>
  level.posture === 'standing' || level.posture === 'incline'
    ? 'standing'
    : level.posture === 'seated'
      ? 'seated'
      : level.posture === 'hang'
        ? 'bar'
        : 'floor';
const changesOf = (blocks: readonly BlockView[]) =>
  blocks.filter((block, index) => index > 0 && placeOf(block) !== placeOf(blocks[index - 1]!)).length;

const positionChanges: Check = {
  id: 'position-changes',
  title: 'Up and down too often',
  severity: 'look',
  why: 'Seated together, floor together: every change costs ten seconds and the thread.',
  source: PRACTICE,
  find: (view) => {
    const minutes = Math.max(10, view.timeline.durationMs / 60_000);
    const changes = changesOf(view.blocks);
    const most = Math.max(2, Math.round((view.method.positionChanges * minutes) / 10));
    if (changes <= most) return [];
    const sorted = gathered(view.blocks);
    const text = `${changes} changes of position in ${Math.round(minutes)} min; this method has at most ${most}.`;
    if (changesOf(sorted) >= changes) return [{ blockIds: [], text }];
    const edits = sorted.map(({ block }): Edit => ({
      kind: 'move',
      blockId: block.id,
      phase: block.phase,
      before: null,
    }));
    return [{ blockIds: [], text, fix: { label: 'Gather each place within its phase', edits } }];
  },
};

/** Within each phase the blocks of one place stand together, the place that the phase before ended in first; order stays otherwise. */
function gathered(blocks: readonly BlockView[]): BlockView[] {
  const result: BlockView[] = [];
  for (const phase of PHASES) {
    const mine = blocks.filter(({ block }) => block.phase === phase);
    const places = [...new Set(mine.map(placeOf))];
    const last = result.at(-1);
    places.sort((a, b) => Number(last && b === placeOf(last)) - Number(last && a === placeOf(last)));
    for (const place of places) result.push(...mine.filter((block) => placeOf(block) === place));
  }
  return result;
}

/** Fewer blocks that are the same as last time than this share is a new routine; more is the same one. Working values. */
const SAME_SHARE = 0.5;
const REPEATED_SHARE = 0.9;

const variety: Check = {
  id: 'variety',
  title: 'Routine kept or changed against the method',
  severity: 'look',
  why: 'A routine that stays can be measured by; one that rotates keeps attention.',
  source: 'policy of the method',
  find: ({ past, blocks, method }) => {
    const last = past.slice(-2);
    if (last.length < 2 || blocks.length === 0) return [];
    const shares = last.map(
      ({ movementIds }) => blocks.filter(({ movement }) => movementIds.includes(movement.id)).length / blocks.length,
    );
    if (method.variety === 'rotate' && shares.every((share) => share > REPEATED_SHARE)) {
      return [{ blockIds: [], text: `The last two sessions had the same movements; ${method.name} rotates them.` }];
    }
    const changed = method.variety === 'same' && shares[1]! < SAME_SHARE;
    return changed
      ? [
          {
            blockIds: [],
            text: `Most movements are new since the last session; ${method.name} keeps the routine to measure by.`,
          },
        ]
      : [];
  },
};

const SESSIONS_A_WEEK = { daily: 14, 'two or three': 3, 'every training day': 7 } as const;
const tooOften: Check = {
  id: 'too-often',
  title: 'More often than the method',
  severity: 'look',
  why: 'Sessions count together: a week has room for so many.',
  source: 'policy of the method',
  find: ({ past, now, method }) => {
    const week = past.filter(
      ({ startedAt }) => hoursBetween(startedAt, now) < 7 * 24 && hoursBetween(startedAt, now) >= 0,
    ).length;
    const most = SESSIONS_A_WEEK[method.frequency];
    return week >= most
      ? [{ blockIds: [], text: `${week} sessions in the last seven days; ${method.name} has up to ${most}.` }]
      : [];
  },
};

/** A week's growth is judged where a usual week holds at least this dose. Working value. */
const WORTH_A_WEEK = 0.2;
const weeklyGrowth: Check = {
  id: 'weekly-growth',
  title: 'The week grows too fast',
  severity: 'look',
  why: 'Tissue follows slowly: too much, too soon is the commonest way into trouble.',
  source: 'plain cap of the method; the ratio of short to long load is contested (Impellizzeri et al. 2020)',
  find: (view) => {
    const week = dosesWithin(view.past, view.now, 6);
    const weeks = dosesWithin(view.past, view.now, 27, 6);
    const worst = MUSCLE_GROUPS.map((group) => {
      const usual = ofBothHands(weeks, group) / 3;
      return { group, usual, now: ofBothHands(week, group) + ofBothHands(view.account.doses, group) };
    })
      .filter(({ usual, now }) => usual >= WORTH_A_WEEK && now > usual * (1 + view.method.weeklyGrowthPercent / 100))
      .sort((a, b) => b.now / b.usual - a.now / a.usual)[0];
    if (!worst) return [];
    const percent = Math.round(100 * (worst.now / worst.usual - 1));
    const text = `With this session the week of the ${worst.group} is ${percent} % above the usual of the last three; the cap is ${view.method.weeklyGrowthPercent} %.`;
    return [{ blockIds: [], text }];
  },
};

const empty: Check = {
  id: 'empty',
  title: 'Nothing in it yet',
  severity: 'look',
  why: 'A sequence needs a block to be led.',
  source: PRACTICE,
  find: (view) => {
    if (view.blocks.length > 0) return [];
    const free = choose(view, ({ family }) => family === 'free-motion', ['free.wrist-circles']);
    return [{ blockIds: [], text: 'No blocks yet: begin with free motion.', fix: adding(view, 'prepare', free) }];
  },
};

export const ROOM_CHECKS = [equipmentMissing, minutesOver, positionChanges, variety, tooOften, weeklyGrowth, empty];
