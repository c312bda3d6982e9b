import type { Dose } from '../model/dose.js';
import type { Level } from '../model/movement.js';
import type { CautionId } from '../vocabulary/cautions.js';
import { GROUP_OF } from '../vocabulary/muscles.js';

/** What an adapting caution asks of a level, as numbers. Working values under the sentences of `CAUTIONS`. */
interface CautionLimit {
  /** What is wrong, or null. */
  readonly broken: (level: Level, dose: Dose, effortPercent: number) => string | null;
}

const END_OF_RANGE_PERCENT = 90;
const TENDON_PAIN_PERCENT = 40;
const HEAVY_TENDON_PERCENT = 70;
const MAXIMAL_PERCENT = 80;

const addsWeight = ({ load }: Level) =>
  (load.kind === 'weight' || load.kind === 'lift' || load.kind === 'roller'
    ? load.massKg
    : load.kind === 'hang'
      ? load.addedKg
      : 0) > 0;
const atEndOfRange = ({ load }: Level) => load.kind === 'stretch' && load.reachPercent > END_OF_RANGE_PERCENT;
const isStill = ({ load }: Level) =>
  load.kind === 'press' || load.kind === 'body' || load.kind === 'hang' || load.kind === 'lift';
const gripsHard = ({ load }: Level) =>
  load.kind === 'hang' ||
  load.kind === 'lift' ||
  ((load.kind === 'press' || load.kind === 'resist') && GROUP_OF[load.action] === 'finger flexors');

const above = (effortPercent: number, most: number) =>
  effortPercent > most ? `${Math.round(effortPercent)} % effort is above ${most} %` : null;

const LIMITS: Partial<Record<CautionId, CautionLimit>> = {
  arthritis: {
    broken: (level) =>
      addsWeight(level) ? 'it adds weight' : atEndOfRange(level) ? 'it goes to the end of the range' : null,
  },
  'tendon-pain': { broken: (_level, _dose, effort) => above(effort, TENDON_PAIN_PERCENT) },
  hypermobility: {
    broken: (level) =>
      level.load.kind === 'hang' && level.load.wristBendDeg > 0
        ? 'it hangs on a bent wrist'
        : atEndOfRange(level)
          ? 'it hangs at the end of the range'
          : null,
  },
  'blood-pressure': { broken: (level, _dose, effort) => (isStill(level) ? above(effort, MAXIMAL_PERCENT) : null) },
  fluoroquinolones: { broken: (_level, _dose, effort) => above(effort, HEAVY_TENDON_PERCENT) },
  'under-18': {
    broken: (level, _dose, effort) => {
      const crimped =
        (level.load.kind === 'hang' || level.load.kind === 'lift') && level.load.edgeGrip === 'half crimp';
      if (crimped) return 'it crimps the fingers';
      return gripsHard(level) ? above(effort, MAXIMAL_PERCENT) : null;
    },
  },
};

/** How a block breaks what a caution asks; null when it does not. */
export const brokenLimit = (caution: CautionId, level: Level, dose: Dose, effortPercent: number): string | null =>
  LIMITS[caution]?.broken(level, dose, effortPercent) ?? null;
