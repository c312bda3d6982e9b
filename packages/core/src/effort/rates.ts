import { type Constant, published, timesMoved, working } from '../vocabulary/constant.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';

/** Rates of the three-compartment model and the endurance law of a joint region, as constants. */
interface Region {
  readonly fatiguePerS: Constant;
  readonly recoveryPerS: Constant;
  /** Recovery is this many times faster at rest. */
  readonly restMultiplier: Constant;
  /** Endurance time of a share of maximum: `a · share^b` seconds. */
  readonly enduranceAS: Constant;
  readonly enduranceB: Constant;
  /** What may be missing of an effort near the maximum before it counts as failed; 0 as published. */
  readonly tolerance: Constant;
}
/** The same as plain numbers, as they stand. */
export type Rates = { readonly [K in keyof Region]: number };

const FREY_LAW = 'Frey-Law, Looft, Heitsman 2012, J Biomech 45(10):1803–8';
const ENDURANCE = 'Frey Law, Avin 2010, Ergonomics 53(1):109–29';
const AT_REST = 'Looft, Herkert, Frey-Law 2018, J Biomech 77:16–25';

function region(of: string, [f, r, a, b]: readonly [number, number, number, number], tolerance: Constant): Region {
  return {
    fatiguePerS: published(`Fatigue of ${of}`, f, 'per s', FREY_LAW),
    recoveryPerS: published(`Recovery of ${of}`, r, 'per s', FREY_LAW),
    restMultiplier: published(`Recovery at rest of ${of}`, 15, 'times that in effort', AT_REST),
    enduranceAS: published(`Endurance of ${of}, a`, a, 's', ENDURANCE),
    enduranceB: published(`Endurance of ${of}, b`, b, 'power', ENDURANCE),
    tolerance,
  };
}

const REASON =
  'high efforts end too early in the plain model (70 % by a quarter, 90 % by two thirds of the law); with this they keep within a quarter of it';
const REGIONS = {
  handGrip: region(
    'grip',
    [0.0098, 0.00064, 33.55, -1.61],
    working('Tolerance of grip', 0.22, 'of maximum, near it', REASON, [0.19, 0.25]),
  ),
  // The published elbow rates run up to 45 % long at middle efforts; they are kept as published.
  elbow: region(
    'elbow',
    [0.00912, 0.00094, 17.98, -2.21],
    working('Tolerance of elbow', 0, 'of maximum, near it', 'as published', [0, 0.2]),
  ),
  shoulder: region(
    'shoulder',
    [0.0182, 0.00168, 14.86, -1.83],
    working('Tolerance of shoulder', 0.15, 'of maximum, near it', REASON, [0.1, 0.2]),
  ),
};
/** A joint region with rates of its own. */
export type RegionName = keyof typeof REGIONS;

const numbers = (of: Region): Rates => ({
  fatiguePerS: of.fatiguePerS.value,
  recoveryPerS: of.recoveryPerS.value,
  restMultiplier: of.restMultiplier.value,
  enduranceAS: of.enduranceAS.value,
  enduranceB: of.enduranceB.value,
  tolerance: of.tolerance.value,
});
const read = (): Readonly<Record<RegionName, Rates>> => ({
  handGrip: numbers(REGIONS.handGrip),
  elbow: numbers(REGIONS.elbow),
  shoulder: numbers(REGIONS.shoulder),
});
/** The rates of every region as published. */
export const RATES = read();
/** Plain numbers, since a session takes thousands of steps with them; recomputed when a constant changes. */
let [standing, standingAt] = [RATES, timesMoved()];

/** Wrist, forearm and hand muscles have no rates of their own in print: they take those of the hand's grip (working choice). */
export function regionOf(group: MuscleGroup): RegionName {
  if (group === 'elbow muscles') return 'elbow';
  return group === 'shoulder girdle' ? 'shoulder' : 'handGrip';
}

/** The rates of a muscle group. */
export function ratesOf(group: MuscleGroup): Rates {
  if (standingAt !== timesMoved()) [standing, standingAt] = [read(), timesMoved()];
  return standing[regionOf(group)];
}

/** How long a share of maximum is held from rest by the published law, in seconds. @example enduranceS(RATES.handGrip, 0.5) ≈ 102 */
export const enduranceS = ({ enduranceAS, enduranceB }: Rates, share: number) => enduranceAS * share ** enduranceB;
