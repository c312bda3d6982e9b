import type { Demand, HandDemand } from '../mechanics/demand.js';
import type { Clearance, RecordedCaution } from '../model/athlete.js';
import type { Dose } from '../model/dose.js';
import type { Level } from '../model/movement.js';
import type { CautionId } from '../vocabulary/cautions.js';
import type { Hand } from '../vocabulary/hands.js';
import { GROUP_OF } from '../vocabulary/muscles.js';
import { handsOf } from './cautions.js';

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

/** What a hand does at a level, against which limits are held. */
export interface HandAsked {
  readonly level: Level;
  readonly dose: Dose;
  readonly demand: HandDemand;
}

/** How a hand's work breaks what a caution asks, or the limits within which it was cleared; null when it does not. */
export function brokenLimit(entry: RecordedCaution, { level, dose, demand }: HandAsked): string | null {
  const { effortPercent } = demand;
  return brokenClearance(entry.within, demand) ?? LIMITS[entry.caution]?.broken(level, dose, effortPercent) ?? null;
}

/** More than this share of body weight on a hand is body weight on it. */
const BODY_WEIGHT_FROM_PERCENT = 1;

function brokenClearance(limits: Clearance | undefined, demand: HandDemand): string | null {
  if (!limits) return null;
  const { effortPercent, extensionDeg, noBodyWeight } = limits;
  if (noBodyWeight && demand.loadPercentBW > BODY_WEIGHT_FROM_PERCENT) return 'it puts weight on the hand';
  const { angle } = demand;
  if (extensionDeg !== undefined && angle?.motion === 'wrist extension' && Math.round(angle.deg) > extensionDeg) {
    return `${Math.round(angle.deg)}° of extension is above ${extensionDeg}°`;
  }
  return effortPercent === undefined ? null : above(demand.effortPercent, effortPercent);
}

/** The first of somebody's cautions that one of these hands would break, with what it breaks; null when none. */
export function brokenBy(
  cautions: readonly RecordedCaution[],
  hands: readonly Hand[],
  asked: { readonly level: Level; readonly dose: Dose; readonly demand: Demand },
): { readonly entry: RecordedCaution; readonly broken: string } | null {
  for (const entry of cautions) {
    for (const hand of handsOf(entry)) {
      if (!hands.includes(hand)) continue;
      const broken = brokenLimit(entry, { ...asked, demand: asked.demand[hand] });
      if (broken) return { entry, broken };
    }
  }
  return null;
}
