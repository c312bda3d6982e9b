import type { MuscleGroup } from '../../anatomy/motions.js';
import { HANDS } from '../../anatomy/sides.js';
import { amountOf, type Dose, workOf } from '../../dose/dose.js';
import { unusualInDose, usualDose } from '../../dose/usual-ranges.js';
import { inMethodKind } from '../../method/method-dose.js';
import { partsOf } from '../../fatigue/effort-timeline.js';
import { applyEdits, type Edit } from '../edits.js';
import { adding, after, changing, choose, easing, effortOf, named } from './choose.js';
import { type Check, type Draft, editsOf, type Fix, PRACTICE } from './finding.js';
import { type BlockView, type SessionView, viewOf } from './view.js';

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
    const fix: Fix = {
      label: `Shorten to ${STRETCH_BEFORE_MAX_S} s together`,
      edits: shortened(concerned, worst.seconds),
    };
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

/** Every stretch gives the same share. */
function shortened(views: readonly BlockView[], seconds: number): Edit[] {
  const share = STRETCH_BEFORE_MAX_S / seconds;
  return views.map(({ block }) => {
    const { dose } = block;
    const total = dose.sets * amountOf(dose.work) * share;
    const sets = Math.max(1, Math.floor(dose.sets * share));
    const work = workOf(dose.work.kind, Math.max(1, Math.floor(total / sets)));
    return { kind: 'change' as const, blockId: block.id, dose: { ...dose, sets, work } };
  });
}

const effortCeiling: Check = {
  id: 'effort-ceiling',
  title: 'Harder than the method goes',
  severity: 'mend',
  why: 'The method sets how hard a block may be.',
  source: 'policy of the method',
  find: (view) => {
    const { effortCeilingPercent: ceiling, name } = view.method;
    return view.blocks.flatMap((block): Draft[] => {
      if (block.effortPercent <= ceiling + 0.5 || block.effortPercent > 100) return [];
      const text = `${block.movement.name}: ${Math.round(block.effortPercent)} % effort; ${name} goes to ${ceiling} %.`;
      const lowered = { ...block.block.dose, effortPercent: ceiling };
      const lowers = block.level.load.kind === 'press' && unusualInDose(lowered, block.level.dosing).length === 0;
      const fix = lowers
        ? changing(`Lower the effort to ${ceiling} %`, block, lowered)
        : easing(view, block, (_level, demand) => effortOf(demand) <= ceiling);
      return [{ blockIds: [block.block.id], text, fix }];
    });
  },
};

const methodDosing: Check = {
  id: 'method-dosing',
  title: 'Dosed in another way than the method',
  severity: 'look',
  why: 'One way of counting through a session keeps attention on the hands.',
  source: 'policy of the method',
  find: ({ blocks, method }) => {
    if (method.dosing === 'repetitions') return [];
    const other = blocks.flatMap((view) => {
      const dose = inMethodKind(view.block.dose, view.movement, view.level, method);
      return dose === view.block.dose ? [] : [{ view, dose }];
    });
    const first = other[0]?.view;
    if (!first) return [];
    const edits = other.map(({ view, dose }): Edit => ({ kind: 'change', blockId: view.block.id, dose }));
    const text = `${named(other.map(({ view }) => view))}: ${UNIT[first.block.dose.work.kind]}; ${method.name} counts ${UNIT[method.dosing]}.`;
    const fix = { label: `Dose by ${UNIT[method.dosing]}`, edits };
    return [{ blockIds: other.map(({ view }) => view.block.id), text, fix }];
  },
};
const UNIT = { repetitions: 'repetitions', time: 'seconds', breaths: 'breaths' } as const;

const fastMotion: Check = {
  id: 'fast-motion',
  title: 'Fast motion in a slow method',
  severity: 'look',
  why: 'The method keeps everything slow and controlled.',
  source: 'policy of the method',
  find: (view) => {
    const fast = view.blocks.filter(({ level }) => isFast(level.dosing));
    if (view.method.speed !== 'slow' || fast.length === 0) return [];
    const edits = fast.flatMap((block) => editsOf(easing(view, block, (level) => !isFast(level.dosing))));
    const text = `${named(fast)}: done fast; ${view.method.name} keeps to slow motion.`;
    return [{ blockIds: fast.map(({ block }) => block.id), text, fix: { label: 'Take the slow level', edits } }];
  },
};
const isFast = (dosing: string) => dosing === 'fast-free-motion';

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
  const dosed = (change: Partial<Dose>): Edit[] => [{ kind: 'change', blockId: id, dose: { ...dose, ...change } }];
  const amount = amountOf(dose.work);
  const rests =
    dose.sets > 1 && restS !== null ? [1, 1.5].map((times) => dose.restS + Math.ceil((restS * times) / 5) * 5) : [];
  const sets = Array.from({ length: dose.sets - 1 }, (_, index) => dose.sets - 1 - index);
  const shares = [0.8, 0.6, 0.4]
    .map((share) => Math.floor(amount * share))
    .filter((less) => less >= 1 && less < amount);
  return [
    ...rests.filter((rest) => rest <= LONGEST_REST_S).map((rest) => dosed({ restS: rest })),
    ...sets.map((fewer) => dosed({ sets: fewer })),
    ...shares.map((less) => dosed({ sets: 1, work: workOf(dose.work.kind, less) })),
    [...editsOf(easing(view, block, (_level, demand) => effortOf(demand) < block.effortPercent * 0.85))],
    [{ kind: 'remove', blockId: id }],
  ];
}
/** A pause that a session can bear. Working value. */
const LONGEST_REST_S = 180;

/** The first remedy after which the block is held. */
function holdable(view: SessionView, block: BlockView, restS: number | null): readonly Edit[] {
  const { id } = block.block;
  const all = remedies(view, block, restS);
  const holds = (edits: readonly Edit[]) =>
    ![...viewOf({ ...view, sequence: applyEdits(view.sequence, edits) }).courses.values()].some(
      ({ failure }) => failure?.blockId === id,
    );
  return all.find(holds) ?? all.at(-1)!;
}

const contractRelax: Check = {
  id: 'contract-relax',
  title: 'No contract–relax stretch',
  severity: 'look',
  why: 'This method stretches by pushing lightly against the help, then easing further.',
  source: 'policy of the method',
  find: (view) => {
    const stretches = view.blocks.filter(({ level }) => level.load.kind === 'stretch');
    const pushes = stretches.some(({ level }) => level.load.kind === 'stretch' && level.load.pushPercent > 0);
    if (view.method.stretching !== 'contract–relax' || stretches.length === 0 || pushes) return [];
    const choice = choose(view, (_movement, { load }) => load.kind === 'stretch' && load.pushPercent > 0);
    const first = stretches[0]!;
    const text = `${first.movement.name}: only held; ${view.method.name} pushes against the help before easing further.`;
    return [
      {
        blockIds: stretches.map(({ block }) => block.id),
        text,
        fix: adding(view, 'range', choice, after(view, first)),
      },
    ];
  },
};

export const DOSING_CHECKS = [
  doseOutside,
  stretchBefore,
  effortCeiling,
  failingHold,
  restShort,
  methodDosing,
  fastMotion,
  contractRelax,
];
