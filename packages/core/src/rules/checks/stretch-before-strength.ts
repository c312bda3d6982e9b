import { quantity, say } from '../../vocabulary/sentence.js';
import { lastOf } from '../../vocabulary/lists.js';
import type { BlockView } from '../../effort/session-view.js';
import { amountOf, setCount, withSetGroups, workOf, worksOf } from '../../model/dose.js';
import type { Edit } from '../../model/edits.js';
import type { Check, Fix } from './finding.js';
import { usualDose } from '../doses/usual-dose.js';
import { HANDS } from '../../vocabulary/hands.js';
import type { MuscleGroup } from '../../vocabulary/muscles.js';

/** Longest static stretch of one muscle right before strength or skill, seconds: thresholds.csv `stretch_before_strength_max`. */
export const STRETCH_BEFORE_MAX_S = 60;

/** Finds more than a minute of stretch for a muscle before its strength work. */
export const stretchBeforeStrength: Check = {
  id: 'stretch-before-strength',
  title: 'Long stretches before strength work',
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
    const text = say`${quantity(worst.seconds, 's')} of stretching for the ${worst.group} before strength work. Keep it to ${quantity(STRETCH_BEFORE_MAX_S, 's')}.`;
    const edits = shortened(concerned, worst.group);
    const leaves = edits.some(({ kind }) => kind === 'remove');
    const label = say`${leaves ? 'Remove some' : 'Shorten'}: ${quantity(STRETCH_BEFORE_MAX_S, 's')} in total`;
    const fix: Fix = { label, edits };
    return [{ blockIds: concerned.map(({ block }) => block.id), text, fix }];
  },
};

const stretchedS = (views: readonly BlockView[], group: MuscleGroup) =>
  Math.max(
    ...HANDS.map((hand) =>
      views.reduce((sum, { movement, account }) => (movement.trains.includes(group) ? sum + account[hand].workS : sum), 0),
    ),
  );

/** Every stretch gives the same share; where that would leave one of them too short to matter, the last goes instead. */
function shortened(views: readonly BlockView[], group: MuscleGroup): Edit[] {
  const seconds = stretchedS(views, group);
  if (seconds <= STRETCH_BEFORE_MAX_S) return [];
  const share = STRETCH_BEFORE_MAX_S / seconds;
  const less = views.map(({ block: { id, dose }, level: { dosing } }) => {
    const total = worksOf(dose).reduce((sum, work) => sum + amountOf(work), 0) * share;
    const sets = Math.max(1, Math.floor(setCount(dose) * share));
    const work = workOf(dose.work.kind, Math.max(1, Math.floor(total / sets)));
    const wanted = withSetGroups(dose, [{ sets, work }]);
    return { id, wanted, isTooShort: amountOf(wanted.work) < amountOf(usualDose(wanted, dosing).work) };
  });
  if (views.length > 1 && less.some(({ isTooShort }) => isTooShort)) {
    return [{ kind: 'remove', blockId: lastOf(less).id }, ...shortened(views.slice(0, -1), group)];
  }
  return less.map(({ id, wanted }) => ({ kind: 'change', blockId: id, dose: wanted }));
}
