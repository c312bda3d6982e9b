import { say } from '../../vocabulary/sentence.js';
import type { Edit } from '../../model/edits.js';
import { named } from './choose.js';
import type { Check } from './finding.js';
import { inMethodKind } from '../doses/method-dose.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import { isTimedClass } from './whole.js';

/** Finds doses counted in another way than the method’s. */
export const methodDosing: Check = {
  id: 'method-dosing',
  title: 'Counted differently from the method',
  severity: 'look',
  why: 'Counting one way through a session keeps attention on the hands.',
  source: 'training method',
  find: (view) => {
    const { blocks, method } = view;
    // A class goes by the clock, whatever the method counts.
    if (method.dosing === 'repetitions' || isTimedClass(view)) return [];
    const other = blocks.flatMap((seen) => {
      const dose = inMethodKind(seen.block.dose, seen.movement, seen.level, method);
      return dose === seen.block.dose ? [] : [{ view: seen, dose }];
    });
    const first = other[0]?.view;
    if (!first) return [];
    const edits = other.map(({ view, dose }): Edit => ({ kind: 'change', blockId: view.block.id, dose }));
    const text = `${named(other.map(({ view }) => view))}: in ${UNIT_OF[first.block.dose.work.kind]}; ${method.name} counts ${UNIT_OF[method.dosing]}.`;
    const fix = { label: say`Dose by ${UNIT_OF[method.dosing]}`, edits };
    return [{ blockIds: other.map(({ view }) => view.block.id), text, fix }];
  },
};
