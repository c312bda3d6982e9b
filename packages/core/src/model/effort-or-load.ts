import { defined } from '../vocabulary/defined.js';
import { KILOGRAMS, type OwnLoadName } from '../vocabulary/own-load.js';
import type { Dose, OwnLoad } from './dose.js';
import { effortMeans, type Level } from './movement.js';

/** Whether it is what an effort would find. */
export const isKilograms = (name: OwnLoadName): boolean => KILOGRAMS.some((kilograms) => kilograms === name);

/** A load without its kilograms. */
export const withoutKilograms = ({ massKg: _m, springKg: _s, bandKg: _b, ...rest }: OwnLoad = {}): OwnLoad => rest;

/**
 * A dose at another effort. Its range goes where the effort falls, so that nothing above the new effort is asked for, and stays where it still lies above; an
 * effort for sore days stays as far as it is the lesser one.
 */
export function atEffort({ effortToPercent, sore, ...dose }: Dose, percent: number): Dose {
  const isLess = percent < (dose.effortPercent ?? 0);
  return {
    ...dose,
    effortPercent: percent,
    ...(!isLess && (effortToPercent ?? 0) > percent && defined({ effortToPercent })),
    ...(sore &&
      sore.effortPercent < percent && { sore: (sore.effortToPercent ?? 0) > percent ? { effortPercent: sore.effortPercent } : sore }),
  };
}

/** A dose that names no effort: neither a range of it nor one for sore days. */
export function withoutEffort<D extends Partial<Dose>>(dose: D): Omit<D, 'effortPercent' | 'effortToPercent' | 'sore'> {
  const { effortPercent: _effort, effortToPercent: _to, sore: _sore, ...rest } = dose;
  return rest;
}

/** A dose with one thing of its own load set, or as the level has it for null. Kilograms take the place of the effort that would find them. */
export function withOwnSet(dose: Dose, name: OwnLoadName, value: number | null): Dose {
  const { load = {}, ...rest } = value !== null && isKilograms(name) ? withoutEffort(dose) : dose;
  const { [name]: _old, ...others } = load;
  return loaded(rest, value === null ? others : { ...others, [name]: value });
}

/** A dose with another effort, or none for null. An effort that finds the load takes the place of the kilograms. */
export function withEffortSet(dose: Dose, level: Pick<Level, 'load'>, percent: number | null): Dose {
  if (percent === null) return withoutEffort(dose);
  const { load, ...rest } = atEffort(dose, percent);
  return loaded(rest, effortMeans(level) === 'finds the load' ? withoutKilograms(load) : load);
}

/** A load of nothing is none. */
const loaded = (dose: Dose, load: OwnLoad = {}): Dose => (Object.keys(load).length > 0 ? { ...dose, load } : dose);
