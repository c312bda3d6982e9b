import type { RecordedCaution } from '../model/athlete.js';
import { CAUTIONS } from '../vocabulary/cautions.js';
import { ageOn } from '../vocabulary/days.js';

/** Whether this entry forbids loading now. */
export function forbidsLoading(entry: RecordedCaution): boolean {
  return CAUTIONS[entry.caution].rule === 'refer' && !(entry.clearedOn && entry.clearedBy);
}

/** Recorded cautions plus those that follow from age, so that nobody has to remember to tick them. */
export function cautionsOn(
  athlete: { readonly cautions: readonly RecordedCaution[]; readonly birthDate?: string | null },
  day: string,
): RecordedCaution[] {
  const list = [...athlete.cautions];
  const minor = athlete.birthDate ? ageOn(athlete.birthDate, day) < 18 : false;
  if (minor && !list.some((entry) => entry.caution === 'under-18')) list.push({ caution: 'under-18' });
  return list;
}
