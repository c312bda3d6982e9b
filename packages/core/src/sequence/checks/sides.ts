import { type Hand, HANDS, otherHand, type SidePlan } from '../../anatomy/sides.js';
import { unusualInDose } from '../../dose/usual-ranges.js';
import { applyEdits, type Edit, freshBlockId } from '../edits.js';
import { bothWays, changing, givenToBoth, isSameDose, named } from './choose.js';
import { type Check, type Draft, type Fix, PRACTICE } from './finding.js';
import { type BlockView, failingAfter, ids, type SessionView } from './view.js';

/** Blocks of one movement with the seconds of work of each hand. */
function byMovement({ blocks }: SessionView) {
  const groups = new Map<string, BlockView[]>();
  for (const view of blocks) groups.set(view.movement.id, [...(groups.get(view.movement.id) ?? []), view]);
  return [...groups.values()].map((views) => ({
    views,
    workS: {
      left: views.reduce((sum, { account }) => sum + account.left.workS, 0),
      right: views.reduce((sum, { account }) => sum + account.right.workS, 0),
    },
  }));
}

const sideMissing: Check = {
  id: 'side-missing',
  title: 'Only one hand works',
  severity: 'mend',
  why: 'A hand that is left out falls behind without anybody deciding it.',
  source: PRACTICE,
  find: (view) =>
    byMovement(view).flatMap(({ views, workS }): Draft[] => {
      const missing = HANDS.find((hand) => workS[hand] === 0 && workS[otherHand(hand)] > 0);
      const first = views[0]!;
      if (!missing) return [];
      const plan = bothWays(first.movement);
      const text = `${first.movement.name}: the ${missing} hand is left out.`;
      const fix = plan && changing(`Add the ${missing} hand`, first, { ...first.block.dose, sides: plan });
      return [{ blockIds: ids(views), text, fix }];
    }),
};

/** Hands may differ by this much before it counts: a repetition in ten. */
const SIDE_TOLERANCE = 1.15;

const sideShort: Check = {
  id: 'side-short',
  title: 'One hand gets less',
  severity: 'mend',
  why: 'A count that is lost on one side becomes a difference between hands.',
  source: PRACTICE,
  find: (view) =>
    byMovement(view).flatMap(({ views, workS }): Draft[] => {
      const { left, right } = workS;
      if (left === 0 || right === 0) return [];
      const [short, ratio] = left < right ? (['left', right / left] as const) : (['right', left / right] as const);
      // What the weaker hand gets more is counted over all strength work, wherever it is added.
      if (ratio <= SIDE_TOLERANCE || wantsMore(view, otherHand(short))) return [];
      const most = [...views].sort((a, b) => b.account[otherHand(short)].workS - a.account[otherHand(short)].workS)[0]!;
      const alone = views.find(({ block }) => block.dose.sides === short);
      const text = `${most.movement.name}: ${short} ${Math.round(workS[short])} s, ${otherHand(short)} ${Math.round(workS[otherHand(short)])} s of work.`;
      // A block of the short hand’s own takes the dose of the longest one; else the other hand shares what it has alone.
      const dose = { ...most.block.dose, sides: short };
      const takes =
        alone && unusualInDose(dose, alone.level.dosing).length === 0 && !isSameDose(dose, alone.block.dose);
      const fix = takes ? changing(`As much for the ${short} hand`, alone, dose) : sharing(views, otherHand(short));
      return [{ blockIds: ids(views), text, fix }];
    }),
};

/** Blocks of one hand alone are done with both. */
function sharing(views: readonly BlockView[], hand: Hand): Fix | undefined {
  const edits = givenToBoth(views.filter(({ block }) => block.dose.sides === hand));
  return edits.length > 0 ? { label: `The ${otherHand(hand)} hand too`, edits } : undefined;
}

const wantsMore = ({ method, weaker }: SessionView, hand: Hand) =>
  method.sides === 'weaker first' && weaker === hand && method.weakerSideRatio > 1;

/** More than this of one block is added elsewhere. Working value. */
const MOST_MORE_SETS = 3;

/** Sets of one hand after the blocks that it works in already, as far as it can hold them, until the missing seconds are there. */
function moreFor(view: SessionView, hand: Hand, candidates: readonly BlockView[], missingS: number): Edit[] {
  const failing = failingAfter(view, []);
  const edits: Edit[] = [];
  let leftS = missingS;
  for (const { block, index, account } of candidates) {
    const perSetS = account[hand].workS / block.dose.sets;
    const id = freshBlockId(applyEdits(view.sequence, edits), block.movementId);
    const before = view.blocks[index + 1]?.block.id ?? null;
    for (let sets = Math.min(MOST_MORE_SETS, Math.ceil(leftS / perSetS)); sets > 0; sets--) {
      const add: Edit = { kind: 'add', block: { ...block, id, dose: { ...block.dose, sets, sides: hand } }, before };
      if ([...failingAfter(view, [...edits, add])].some((blockId) => !failing.has(blockId))) continue;
      edits.push(add);
      leftS -= sets * perSetS;
      break;
    }
    if (leftS <= 0) break;
  }
  return edits;
}

const weakerMore: Check = {
  id: 'weaker-side-more',
  title: 'The weaker hand gets no more',
  severity: 'look',
  why: 'This method gives the weaker hand a stated share more.',
  source: 'policy of the method',
  find: (view) => {
    const { weaker, method } = view;
    if (!weaker || method.sides !== 'weaker first' || method.weakerSideRatio <= 1) return [];
    const strength = byMovement(view).filter(({ views }) =>
      views.some(({ level, block }) => level.loading === 'resisted' && block.phase !== 'prepare'),
    );
    const [mine, others] = [weaker, otherHand(weaker)].map((hand) =>
      strength.reduce((sum, { workS }) => sum + workS[hand], 0),
    ) as [number, number];
    if (others === 0 || mine / others >= method.weakerSideRatio * 0.95) return [];
    // The largest two-handed block is the one whose extra set tells least.
    const candidates = strength
      .flatMap(({ views }) => views)
      .filter(({ movement, account }) => movement.sides.includes(weaker) && account[weaker].workS > 0)
      .sort((a, b) => b.account[weaker].workS - a.account[weaker].workS);
    const missingS = method.weakerSideRatio * others - mine;
    const text = `The ${weaker} hand measures weaker and works ${(mine / others).toFixed(2)} × the other; ${method.name} asks ${method.weakerSideRatio} ×.`;
    const edits = () => moreFor(view, weaker, candidates, missingS);
    const fix = candidates.length > 0 ? { label: `More sets for the ${weaker} hand`, edits } : undefined;
    return [{ blockIds: ids(candidates.slice(0, 1)), text, fix }];
  },
};

const SWAPPED: Partial<Record<SidePlan, SidePlan>> = {
  'left-then-right': 'right-then-left',
  'right-then-left': 'left-then-right',
};

const sideOrder: Check = {
  id: 'side-order',
  title: 'The stronger hand goes first',
  severity: 'look',
  why: 'The weaker side sets the dose, so it goes first.',
  source: 'policy of the method',
  find: ({ blocks, method, weaker }) => {
    if (method.sides !== 'weaker first' || !weaker) return [];
    const wrong = `${otherHand(weaker)}-then-${weaker}`;
    const concerned = blocks.filter(
      ({ block, movement }) => block.dose.sides === wrong && movement.sides.includes(SWAPPED[block.dose.sides]!),
    );
    if (concerned.length === 0) return [];
    const edits = concerned.map(({ block }) => ({
      kind: 'change' as const,
      blockId: block.id,
      dose: { ...block.dose, sides: SWAPPED[block.dose.sides]! },
    }));
    const text = `${named(concerned)}: the stronger hand goes first.`;
    return [{ blockIds: ids(concerned), text, fix: { label: `Begin with the ${weaker} hand`, edits } }];
  },
};

const sidePlan: Check = {
  id: 'side-plan',
  title: 'Hands in another way than the method',
  severity: 'look',
  why: 'The method says whether hands work together or one at a time.',
  source: 'policy of the method',
  find: ({ blocks, method }) => {
    if (method.sides !== 'one at a time' && method.sides !== 'together') return [];
    const together = method.sides === 'together';
    const plan = together ? 'together' : 'left-then-right';
    const concerned = blocks.filter(
      ({ block, movement }) =>
        (block.dose.sides === 'together') !== together &&
        movement.sides.includes(plan) &&
        block.phase !== 'prepare' &&
        block.phase !== 'settle',
    );
    if (concerned.length === 0) return [];
    const edits = concerned.map(({ block }) => ({
      kind: 'change' as const,
      blockId: block.id,
      dose: { ...block.dose, sides: plan as SidePlan },
    }));
    const way = together ? 'both hands together' : 'one hand at a time';
    const text = `${named(concerned)}: ${together ? 'one hand at a time' : 'both together'}; ${method.name} works ${way}.`;
    return [{ blockIds: ids(concerned), text, fix: { label: way.charAt(0).toUpperCase() + way.slice(1), edits } }];
  },
};

const directionMissing: Check = {
  id: 'direction-missing',
  title: 'Only one direction',
  severity: 'mend',
  why: 'Direction counts: a circle one way does not do the work of the other.',
  source: PRACTICE,
  find: (view) =>
    byMovement(view).flatMap(({ views }): Draft[] => {
      const [first] = views;
      const { directions } = first!.movement;
      if (!directions) return [];
      const done = new Set(
        views.flatMap(({ block }) =>
          block.dose.directions === 'each' ? ['first', 'second'] : [block.dose.directions],
        ),
      );
      if (done.size > 1) return [];
      const missing = directions[done.has('first') ? 1 : 0];
      const text = `${first!.movement.name}: one way only, “${missing}” is missing.`;
      return [
        {
          blockIds: ids(views),
          text,
          fix: changing('Both directions', first!, { ...first!.block.dose, directions: 'each' }),
        },
      ];
    }),
};

export const SIDE_CHECKS = [sideMissing, sideShort, weakerMore, sideOrder, sidePlan, directionMissing];
