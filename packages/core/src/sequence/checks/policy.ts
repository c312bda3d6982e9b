import { inMethodKind } from '../../method/method-dose.js';
import type { Edit } from '../edits.js';
import { adding, after, choose, easing, effortOf, lowering, named } from './choose.js';
import { type Check, type Draft, editsOf } from './finding.js';

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
      const fix = lowering(block, ceiling) ?? easing(view, block, (_level, demand) => effortOf(demand) <= ceiling);
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

/** What the chosen method wants of every block. */
export const POLICY_CHECKS = [effortCeiling, methodDosing, fastMotion, contractRelax];
