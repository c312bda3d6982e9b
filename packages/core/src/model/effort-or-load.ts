import { KILOGRAMS, type OwnLoadName } from '../vocabulary/own-load.js';
import type { Dose, OwnLoad } from './dose.js';
import { effortMeans, type Level } from './movement.js';

/** Whether it is what an effort would find. */
export const isKilograms = (name: OwnLoadName): boolean => KILOGRAMS.some((kilograms) => kilograms === name);

/** A load without its kilograms. */
export const withoutKilograms = ({ massKg: _m, springKg: _s, bandKg: _b, ...rest }: OwnLoad = {}): OwnLoad => rest;

/** A dose with one thing of its own load set, or as the level has it for null. Kilograms take the place of the effort that would find them. */
export function withOwnSet({ effortPercent, load, ...rest }: Dose, name: OwnLoadName, value: number | null): Dose {
  const { [name]: _old, ...others } = load ?? {};
  const staysEffort = effortPercent !== undefined && (value === null || !isKilograms(name));
  return loaded({ ...rest, ...(staysEffort && { effortPercent }) }, value === null ? others : { ...others, [name]: value });
}

/** A dose with another effort, or none for null. An effort that finds the load takes the place of the kilograms. */
export function withEffortSet(
  { effortPercent: _old, effortToPercent, sore, load, ...rest }: Dose,
  level: Pick<Level, 'load'>,
  percent: number | null,
): Dose {
  if (percent === null) return loaded(rest, load);
  const stays = effortMeans(level) === 'finds the load' ? withoutKilograms(load) : load;
  const isRange = effortToPercent !== undefined && effortToPercent > percent;
  return loaded({ ...rest, effortPercent: percent, ...(isRange && { effortToPercent }), ...(sore && { sore }) }, stays);
}

/** A load of nothing is none. */
const loaded = (dose: Dose, load: OwnLoad = {}): Dose => (Object.keys(load).length > 0 ? { ...dose, load } : dose);
