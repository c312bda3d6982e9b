import type { MuscleGroup } from '../../anatomy/motions.js';
import { HANDS } from '../../anatomy/sides.js';
import { amountOf, type Dose, workOf } from '../../dose/dose.js';
import { unusualInDose, usualDose } from '../../dose/usual-ranges.js';
import { partsOf } from '../../fatigue/effort-timeline.js';
import type { Edit } from '../edits.js';
import { changing, easing, effortOf } from './choose.js';
import { type Check, type Draft, editsOf, type Fix, PRACTICE } from './finding.js';
import { type BlockView, failingAfter, type SessionView } from './view.js';

const doseOutside: Check = {
  id: 'dose-outside',
  title: 'Outside the usual dose',
  severity: 'look',
  why: 'Usual ranges are where coaches start; depart from them knowingly.',
  source: 'usual ranges, named with each',
  find: ({ blocks }) =>
    blocks.flatMap((block): Draft[] => {
      const unusual = unusualInDose(block.block.dose, block.level.dosing);
      if (unusual.length === 0) return [];
      const fix = changing('Bring it into the usual range', block, usualDose(block.block.dose, block.level.dosing));
      return [{ blockIds: [block.block.id], text: `${block.movement.name}: ${unusual.join(' ')}`, fix }];
    }),
};

/** Longest static stretch of one muscle right before strength or skill, seconds: thresholds.csv `stretch_before_strength_max`. */
export const STRETCH_BEFORE_MAX_S = 60;

const stretchBefore: Check = {
  id: 'stretch-before-strength',
  title: 'Long stretches before strength',
  severity: 'mend',
  why: 'More than a minute of static stretch per muscle lowers strength for a while.',
  source: 'Behm et al. 2016, Appl Physiol Nutr Metab 41:1–11',
  find: (view) => {
    const strength = view.blocks.findIndex(({ block }) => block.phase === 'strength' || block.phase === 'skill');
    if (strength < 0) return [];
    const before = view.blocks.filter(({ index, level }) => index < strength && level.load.kind === 'stretch');
    const groups = [...new Set(before.flatMap(({ movement }) => movement.trains))];
    const worst = groups
      .map((group) => ({ group, seconds: stretchedS(before, group) }))
      .filter(({ seconds }) => seconds > STRETCH_BEFORE_MAX_S)
      .sort((a, b) => b.seconds - a.seconds)[0];
    if (!worst) return [];
    const concerned = before.filter(({ movement }) => movement.trains.includes(worst.group));
    const text = `${Math.round(worst.seconds)} s of stretch for the ${worst.group} before strength; ${STRETCH_BEFORE_MAX_S} s are the most.`;
    const edits = shortened(concerned, worst.group);
    const leaves = edits.some(({ kind }) => kind === 'remove');
    const label = `${leaves ? 'Leave some out' : 'Shorten'}: ${STRETCH_BEFORE_MAX_S} s together`;
    const fix: Fix = { label, edits };
    return [{ blockIds: concerned.map(({ block }) => block.id), text, fix }];
  },
};

const stretchedS = (views: readonly BlockView[], group: MuscleGroup) =>
  Math.max(
    ...HANDS.map((hand) =>
      views.reduce(
        (sum, { movement, account }) => (movement.trains.includes(group) ? sum + account[hand].workS : sum),
        0,
      ),
    ),
  );

/** Every stretch gives the same share; where that would leave one of them too short to matter, the last goes instead. */
function shortened(views: readonly BlockView[], group: MuscleGroup): Edit[] {
  const seconds = stretchedS(views, group);
  if (seconds <= STRETCH_BEFORE_MAX_S) return [];
  const share = STRETCH_BEFORE_MAX_S / seconds;
  const less = views.map(({ block: { id, dose }, level: { dosing } }) => {
    const total = dose.sets * amountOf(dose.work) * share;
    const sets = Math.max(1, Math.floor(dose.sets * share));
    const wanted = { ...dose, sets, work: workOf(dose.work.kind, Math.max(1, Math.floor(total / sets))) };
    return { id, wanted, isTooShort: amountOf(wanted.work) < amountOf(usualDose(wanted, dosing).work) };
  });
  if (views.length > 1 && less.some(({ isTooShort }) => isTooShort)) {
    return [{ kind: 'remove', blockId: less.at(-1)!.id }, ...shortened(views.slice(0, -1), group)];
  }
  return less.map(({ id, wanted }) => ({ kind: 'change', blockId: id, dose: wanted }));
}

/** Less rest than this between hard sets leaves the second one short. Working value. */
const HARD_REST_S = 30;
const restShort: Check = {
  id: 'rest-short',
  title: 'Hard sets without rest',
  severity: 'look',
  why: 'Quality ends a set; it comes back with rest.',
  source: PRACTICE,
  find: ({ blocks }) =>
    blocks.flatMap((block): Draft[] => {
      const { dose } = block.block;
      if (!block.hard || dose.sets < 2 || dose.restS >= HARD_REST_S) return [];
      const text = `${block.movement.name}: ${dose.restS} s between sets at ${Math.round(block.effortPercent)} %.`;
      return [
        { blockIds: [block.block.id], text, fix: changing('Rest 60 s between sets', block, { ...dose, restS: 60 }) },
      ];
    }),
};

const failingHold: Check = {
  id: 'failing-hold',
  title: 'Cannot be held to the end',
  severity: 'mend',
  why: 'What is left of the muscle does not reach: the set breaks down before its end.',
  source: 'Frey-Law, Looft, Heitsman 2012, J Biomech 45:1803–8',
  find: (view) => {
    const failures = [...view.courses]
      .flatMap(([key, { failure }]) => (failure ? [{ key, failure }] : []))
      .filter(({ failure }) => {
        const block = blockOf(view, failure.blockId);
        return block.effortPercent <= 100;
      })
      .sort((a, b) => a.failure.atMs - b.failure.atMs);
    const seen = new Set<string>();
    return failures.flatMap(({ key, failure }): Draft[] => {
      if (seen.has(failure.blockId)) return [];
      seen.add(failure.blockId);
      const block = blockOf(view, failure.blockId);
      const { hand, group } = partsOf(key);
      const rest = failure.restS === null ? '' : ` ${failure.restS} s of rest before it would do.`;
      const text = `${block.movement.name}: the ${hand} ${group} give out after ${Math.round(failure.heldS)} of ${Math.round(failure.askedS)} s.${rest}`;
      const fix = { label: 'Rest, shorten or ease until it holds', edits: () => holdable(view, block, failure.restS) };
      return [{ blockIds: [failure.blockId], text, fix }];
    });
  },
};
const blockOf = ({ blocks }: SessionView, id: string) => blocks.find(({ block }) => block.id === id)!;

/** What could make a block holdable, the least first: rest between its sets, fewer sets, less of the work, an easier level, leaving it out. */
function remedies(view: SessionView, block: BlockView, restS: number | null): Edit[][] {
  const { dose, id } = block.block;
  const { dosing } = block.level;
  const usual = usualDose(dose, dosing);
  const dosed = (wanted: Dose): Edit[] => [{ kind: 'change', blockId: id, dose: wanted }];
  const amount = amountOf(usual.work);
  const rests =
    dose.sets > 1 && restS !== null ? [1, 1.5].map((times) => dose.restS + Math.ceil((restS * times) / 5) * 5) : [];
  const sets = Array.from({ length: usual.sets - 1 }, (_, index) => usual.sets - 1 - index);
  const shares = [0.8, 0.6, 0.4]
    .map((share) => Math.floor(amount * share))
    .filter((less) => less >= 1 && less < amount);
  // Less than is usual would only be called too little by the next check.
  const less = [
    usual,
    ...sets.map((fewer) => ({ ...usual, sets: fewer })),
    ...shares.map((share) => ({ ...usual, sets: 1, work: workOf(dose.work.kind, share) })),
  ].filter((wanted) => unusualInDose(wanted, dosing).length === 0);
  const asUsual = { ...block, block: { ...block.block, dose: usual } };
  return [
    ...rests.filter((rest) => rest <= LONGEST_REST_S).map((rest) => dosed({ ...dose, restS: rest })),
    ...less.map(dosed),
    [...editsOf(easing(view, asUsual, (_level, demand) => effortOf(demand) < block.effortPercent * 0.85))],
    [{ kind: 'remove', blockId: id }],
  ];
}
/** A pause that a session can bear. Working value. */
const LONGEST_REST_S = 180;

/** The first remedy after which the block is held. */
function holdable(view: SessionView, block: BlockView, restS: number | null): readonly Edit[] {
  const { id } = block.block;
  const all = remedies(view, block, restS);
  const holds = (edits: readonly Edit[]) => !failingAfter(view, edits).has(id);
  return all.find(holds) ?? all.at(-1)!;
}

export const DOSING_CHECKS = [doseOutside, stretchBefore, failingHold, restShort];
