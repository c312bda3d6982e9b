import type { MuscleGroup } from '../vocabulary/muscles.js';

/** Rates of the three-compartment model and the endurance law of a joint region. */
export interface Rates {
  readonly fatiguePerS: number;
  readonly recoveryPerS: number;
  /** Recovery is this many times faster at rest. */
  readonly restMultiplier: number;
  /** Endurance time of a share of maximum: `a · share^b` seconds. */
  readonly enduranceAS: number;
  readonly enduranceB: number;
}

/**
 * Frey-Law, Looft, Heitsman 2012, J Biomech 45(10):1803–8 (rates); Frey Law, Avin 2010, Ergonomics 53(1):109–29 (endurance);
 * Looft, Herkert, Frey-Law 2018, J Biomech 77:16–25 (rest). The published elbow rates run up to 45 % long at middle efforts; they are
 * kept as published.
 */
export const RATES = {
  handGrip: { fatiguePerS: 0.0098, recoveryPerS: 0.00064, restMultiplier: 15, enduranceAS: 33.55, enduranceB: -1.61 },
  elbow: { fatiguePerS: 0.00912, recoveryPerS: 0.00094, restMultiplier: 15, enduranceAS: 17.98, enduranceB: -2.21 },
  shoulder: { fatiguePerS: 0.0182, recoveryPerS: 0.00168, restMultiplier: 15, enduranceAS: 14.86, enduranceB: -1.83 },
} as const satisfies Record<string, Rates>;

/** Wrist, forearm and hand muscles have no rates of their own in print: they take those of the hand's grip (working choice). */
export function ratesOf(group: MuscleGroup): Rates {
  if (group === 'elbow muscles') return RATES.elbow;
  return group === 'shoulder girdle' ? RATES.shoulder : RATES.handGrip;
}

/** What some seconds at an effort are worth: 1 is one hold to failure's worth. Beyond the maximum counts as the maximum. */
export const enduranceDoseOf = (rates: Rates, effort: number, seconds: number) =>
  seconds / enduranceS(rates, Math.min(1, effort));

/** How long a share of maximum can be held from rest, in seconds. @example enduranceS(RATES.handGrip, 0.5) ≈ 102 */
export const enduranceS = ({ enduranceAS, enduranceB }: Rates, share: number) => enduranceAS * share ** enduranceB;
