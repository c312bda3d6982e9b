import { amountOf, type Dose, setGroupsOf, type SetGroup, withSetGroups, workOf } from '../../model/dose.js';

/** Whether some set goes on until the form fails. */
export const goesToFailure = (dose: Dose): boolean => setGroupsOf(dose).some(({ work }) => work.open === 'form');

/** The same dose with an end to every set that goes to failure: as much as the set before it, or half of its ceiling; the same where none does. */
export function withoutOpenEnds(dose: Dose): Dose {
  if (!goesToFailure(dose)) return dose;
  const closed: SetGroup[] = [];
  for (const { sets, work } of setGroupsOf(dose)) {
    const before = closed.at(-1)?.work;
    const ended = before ?? workOf(work.kind, Math.ceil(amountOf(work) / 2));
    closed.push({ sets, work: work.open === 'form' ? ended : work });
  }
  return withSetGroups(dose, closed as [SetGroup, ...SetGroup[]]);
}
