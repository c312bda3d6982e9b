import type { Level } from '../../model/movement.js';
import { goesToFailure } from '../doses/open-ends.js';
import type { Work } from './moments.js';

/** Faster than four seconds there and back, a glide is a jerk. */
export const MOST_PER_MINUTE = 15;

/** Whether a level moves a nerve. */
export const isNerveGlide = ({ dosing }: Pick<Level, 'dosing'>): boolean => dosing === 'nerve-glides';

/** What is not gentle about a glide of a nerve, in words; null where all is, and for everything else. */
export function nerveHarshness({ level, dose, forms }: Pick<Work, 'level' | 'dose' | 'forms'>): string | null {
  if (!isNerveGlide(level)) return null;
  if (dose.holdS) return `held for ${dose.holdS} s at the end`;
  if (dose.effortPercent !== undefined) return `${dose.effortPercent} % effort throughout`;
  if (goesToFailure(dose)) return 'as many as possible';
  return paceOf(forms) > MOST_PER_MINUTE ? 'faster than four seconds per cycle' : null;
}

/** The fastest pace of the forms, cycles a minute; 0 where nothing moves freely. */
export const paceOf = (forms: Work['forms']): number =>
  Math.max(0, ...forms.map(({ level: { load } }) => (load.kind === 'move' ? load.perMinute : 0)));
