import { firstOf } from '../vocabulary/lists.js';
import type { RangeMotion } from '../vocabulary/motions.js';
import type { Sex } from '../model/body.js';
import type { Hand } from '../vocabulary/hands.js';

/** Mean and standard deviation of one hand's grip, in kilograms of force. */
type GripNorm = readonly [meanKg: number, sdKg: number];

interface GripBand {
  readonly ageFrom: number;
  readonly right: GripNorm;
  readonly left: GripNorm;
}

/** Hand grip strength by age, sex and side: Massy-Westropp et al. 2011, BMC Res Notes 4:127. */
const GRIP: Record<'male' | 'female', readonly GripBand[]> = {
  male: [
    { ageFrom: 20, right: [47, 9.5], left: [45, 8.8] },
    { ageFrom: 30, right: [47, 9.7], left: [47, 9.8] },
    { ageFrom: 40, right: [47, 9.5], left: [45, 9.3] },
    { ageFrom: 50, right: [45, 8.4], left: [43, 8.3] },
    { ageFrom: 60, right: [40, 8.3], left: [38, 8] },
    { ageFrom: 70, right: [33, 7.8], left: [32, 7.5] },
  ],
  female: [
    { ageFrom: 20, right: [30, 7], left: [28, 6.1] },
    { ageFrom: 30, right: [31, 6.4], left: [29, 6] },
    { ageFrom: 40, right: [29, 5.7], left: [28, 5.7] },
    { ageFrom: 50, right: [28, 6.3], left: [26, 5.7] },
    { ageFrom: 60, right: [24, 5.3], left: [23, 5] },
    { ageFrom: 70, right: [20, 5.8], left: [19, 5.5] },
  ],
};

/** The age that norms are read at when none is on record. */
export const USUAL_AGE = 30;

/** The norm of a sex, age and hand; the youngest band below twenty, the mean of both sexes where none is stated. */
export function gripNorm(sex: Sex, ageYears: number | null, hand: Hand): { meanKg: number; sdKg: number } {
  const read = (of: 'male' | 'female') => {
    const age = ageYears ?? USUAL_AGE;
    const band = GRIP[of].findLast(({ ageFrom }) => age >= ageFrom) ?? firstOf(GRIP[of]);
    return band[hand];
  };
  const [a, b] = sex === 'not stated' ? [read('female'), read('male')] : [read(sex), read(sex)];
  return { meanKg: (a[0] + b[0]) / 2, sdKg: (a[1] + b[1]) / 2 };
}

/** Maximum isometric wrist moments of ten men, neutral wrist: Delp, Grierson, Buchanan 1996, J Biomech 29(10):1371–5. N·m. */
export const WRIST_MOMENT_NM = {
  'wrist flexion': 12.2,
  'wrist extension': 7.1,
  'radial deviation': 11,
  'ulnar deviation': 9.5,
} as const;

/**
 * Turning the forearm, men, handle held with the elbow bent: a working value, of the order of published maxima for both directions;
 * the reference tables have none.
 */
export const FOREARM_TURN_NM = 9;

/** Active range of men of 20–54 years: Boone, Azen 1979, J Bone Joint Surg Am 61(5):756–9. Degrees. */
export const ACTIVE_RANGE_DEG = {
  'wrist flexion': { mean: 74.8, sd: 6.6 },
  'wrist extension': { mean: 74, sd: 6.6 },
  'radial deviation': { mean: 21.1, sd: 4 },
  'ulnar deviation': { mean: 35.3, sd: 3.8 },
  pronation: { mean: 75, sd: 5.8 },
  supination: { mean: 81.1, sd: 4 },
} as const satisfies Record<RangeMotion, { mean: number; sd: number }>;

/** What help (the other hand, the floor) adds to the wrist's active range: a working value until the athlete is measured. */
export const PASSIVE_GAIN_DEG = 15;
