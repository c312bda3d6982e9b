import type { Sequence } from '../../model/sequence.js';
import { checkNamed } from './index.js';
import type { Fault } from '../../vocabulary/fault.js';

/** Mutes that cannot stand: of a check that there is not, or of a rule of safety. */
export function checkMutes({ mutes = [] }: Sequence): Fault[] {
  return mutes.flatMap(({ check: id }, index): Fault[] => {
    const check = checkNamed(id);
    if (!check) return [{ pointer: `/mutes/${index}/check`, message: `There is no check “${id}”.` }];
    if (!check.stopRule) return [];
    return [{ pointer: `/mutes/${index}/check`, message: `“${check.title}” is a safety rule and can’t be muted.` }];
  });
}
