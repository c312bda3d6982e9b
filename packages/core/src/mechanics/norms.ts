import { firstOf } from '../vocabulary/lists.js';
import { type Constant, published, working } from '../vocabulary/constant.js';
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

const MASSY = 'Massy-Westropp et al. 2011, BMC Res Notes 4:127';
/** Hand grip strength by age, sex and side, kilograms: Massy-Westropp et al. 2011, BMC Res Notes 4:127. */
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
  const level = GRIP_LEVEL.value;
  return { meanKg: (level * (a[0] + b[0])) / 2, sdKg: (level * (a[1] + b[1])) / 2 };
}
/** The whole table, moved together. */
const GRIP_LEVEL = published('Grip norm', 1, 'of the table', MASSY);

const MATHIOWETZ = 'Mathiowetz et al. 1985, Arch Phys Med Rehabil 66(2):69–74, over the grip norm of the same ages';
/** Pinch over grip, the same for women and men: the thumb against two fingers, against one finger’s tip, against the index’s side. */
export const PINCH = {
  palmar: published('Pinch of thumb and two fingers', 0.255, 'of grip', MATHIOWETZ),
  tip: published('Pinch of thumb and one finger', 0.175, 'of grip', MATHIOWETZ),
} as const;

/** Spread of grip within an age and a sex, as a share of its mean: what every band of the norm comes to. */
export const GRIP_SPREAD = published('Spread of grip', 0.2, 'log-sd', MASSY, 'sd over mean in every band of age, both sexes');

type PinchNorm = Readonly<Record<'male' | 'female', Readonly<Record<Hand, { readonly meanKg: number; readonly sdKg: number }>>>>;
/** Means of the two bands of 20–29 years, the left with the right’s spread. @param right mean and sd, then the left’s mean: of 20–24, of 25–29 */
const pinchNorm = (a: readonly [number, number, number], b: readonly [number, number, number]) => ({
  right: { meanKg: (a[0] + b[0]) / 2, sdKg: (a[1] + b[1]) / 2 },
  left: { meanKg: (a[2] + b[2]) / 2, sdKg: (a[1] + b[1]) / 2 },
});
/** Pinch of young adults, kilograms: Mathiowetz et al. 1985, Arch Phys Med Rehabil 66(2):69–74. `pinch` is the palmar one. */
export const PINCH_NORMS = {
  'tip pinch': { male: pinchNorm([8.2, 1.4, 7.7], [8.3, 2, 7.9]), female: pinchNorm([5, 1, 4.8], [5.4, 0.8, 5.1]) },
  'key pinch': { male: pinchNorm([11.8, 1.6, 11.3], [12.1, 2.2, 11.3]), female: pinchNorm([8, 0.9, 7.3], [8, 0.9, 7.5]) },
  pinch: { male: pinchNorm([12.1, 2.4, 11.7], [11.8, 2, 11.4]), female: pinchNorm([7.8, 1, 7.4], [8, 1.5, 7.5]) },
} as const satisfies Record<string, PinchNorm>;

const DELP = 'Delp, Grierson, Buchanan 1996, J Biomech 29(10):1371–5: ten men, isometric, neutral wrist';
/** Maximum isometric wrist moments. */
export const WRIST_MOMENT = {
  'wrist flexion': published('Wrist flexion of men', 12.2, 'N·m', DELP),
  'wrist extension': published('Wrist extension of men', 7.1, 'N·m', DELP),
  'radial deviation': published('Radial deviation of men', 11, 'N·m', DELP),
  'ulnar deviation': published('Ulnar deviation of men', 9.5, 'N·m', DELP),
} as const;

/** Means and spreads of those ten men, N·m; the spread from their range (ten of a normal spread span some three standard deviations). */
export const WRIST_MOMENT_NORMS = {
  'wrist flexion': { mean: 12.2, sd: 4.4 },
  'wrist extension': { mean: 7.1, sd: 1.9 },
  'radial deviation': { mean: 11, sd: 2.4 },
  'ulnar deviation': { mean: 9.5, sd: 1.9 },
} as const;

/** Turning the forearm with a handle held, the elbow bent. */
export const FOREARM_TURN = working(
  'Forearm turn of men',
  9,
  'N·m',
  'of the order of published maxima for both directions; the reference tables have none',
  [7, 13],
);

const BOONE = 'Boone, Azen 1979, J Bone Joint Surg Am 61(5):756–9: men of 20–54 years';
const range = (of: RangeMotion, mean: number, sd: number) => ({
  mean: published(`Active range of ${of}`, mean, '°', BOONE),
  sd,
});
/** Active range, degrees. */
export const ACTIVE_RANGE: Record<RangeMotion, { readonly mean: Constant; readonly sd: number }> = {
  'wrist flexion': range('wrist flexion', 74.8, 6.6),
  'wrist extension': range('wrist extension', 74, 6.6),
  'radial deviation': range('radial deviation', 21.1, 4),
  'ulnar deviation': range('ulnar deviation', 35.3, 3.8),
  pronation: range('pronation', 75, 5.8),
  supination: range('supination', 81.1, 4),
};

/** What help (the other hand, the floor) adds to the active range. */
export const PASSIVE_GAIN = working(
  'What help adds to the active range',
  15,
  '°',
  'the other hand or the floor brings a wrist some 10–20° further than its own muscles',
  [8, 22],
);
