import type { Dose } from '../model/dose.js';
import { type Movement, positionsIn } from '../model/movement.js';
import { PAIR_NAMES, type PairName } from '../vocabulary/actions.js';
import { type Digit, DIGITS } from '../vocabulary/digits.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import { type MuscleGroup, pairOf, partsOf, type SideGroup } from '../vocabulary/muscles.js';
import { working } from '../vocabulary/constant.js';

/** Left and right may differ by this : 1 before it counts as lopsided, in the balance, the checks and the pot. Working value. */
export const SIDES_BAND = working(
  'Left against right',
  1.4,
  'times',
  'hands of most people work within two fifths of each other over a session',
  [1.2, 1.6],
).value;

/** Below this dose, of both hands and both sides, there was too little work to speak of a balance: a tenth of a hold to failure. Working value. */
export const WORTH_COMPARING = working(
  'Work worth comparing',
  0.1,
  'holds to failure',
  'less says nothing of a balance',
  [0.05, 0.2],
).value;

/** Two amounts of work that should not differ too much. */
export interface Ratio {
  readonly name: PairName | 'left : right';
  readonly first: number;
  readonly second: number;
  /** first over second; null when there is too little of both, Infinity when only the first was worked. */
  readonly ratio: number | null;
}

/** How evenly a session works opposite muscles, hands and digits. */
export interface Balance {
  readonly pairs: readonly Ratio[];
  readonly sides: Ratio;
  /** Share of each digit in the work that fingers and thumb do, 0–1; all zero when there is none. */
  readonly digits: Readonly<Record<Digit, number>>;
}

/** Work of a movement in seconds, for shares of digits. */
export interface DigitWork {
  readonly movement: Movement;
  readonly dose: Pick<Dose, 'positions'>;
  readonly workS: number;
}

/** Compares doses of opposites, both hands together, and of the hands. */
export function balanceOf(doses: ReadonlyMap<SideGroup, number>, work: readonly DigitWork[]): Balance {
  const ofGroup = (group: MuscleGroup) => HANDS.reduce((sum, hand) => sum + (doses.get(`${hand} ${group}`) ?? 0), 0);
  const ofHand = (hand: Hand) => [...doses].reduce((sum, [key, dose]) => (partsOf(key).hand === hand ? sum + dose : sum), 0);
  return {
    pairs: PAIR_NAMES.map((name) => {
      const [first, second] = pairOf(name);
      return ratio(name, ofGroup(first), ofGroup(second));
    }),
    sides: ratio('left : right', ofHand('left'), ofHand('right')),
    digits: digitShares(work),
  };
}

function ratio(name: Ratio['name'], first: number, second: number): Ratio {
  if (first + second < WORTH_COMPARING) return { name, first, second, ratio: null };
  return { name, first, second, ratio: first / second };
}

/** How far a ratio is out of a band of `band : 1` either way; null when it is inside, or nothing to compare. @example outOfBand({ name: '', first: 3, second: 2, ratio: 1.5 }, 1.4) → 'first' */
export function outOfBand({ ratio: value }: Ratio, band: number): 'first' | 'second' | null {
  if (value === null) return null;
  if (value > band) return 'first';
  return value < 1 / band ? 'second' : null;
}

const FINGER_MUSCLES: readonly MuscleGroup[] = ['finger flexors', 'finger extensors', 'hand intrinsics'];

/** Which digits a movement works: those of the positions that are done, those it names, else the fingers and the thumb by the muscles that it trains. */
export function digitsOf(movement: Movement, dose: Pick<Dose, 'positions'> = {}): readonly Digit[] {
  const { digits, trains } = movement;
  const inTurn = positionsIn(movement, dose).flatMap((position) => position.digits ?? []);
  if (inTurn.length > 0) return DIGITS.filter((digit) => inTurn.includes(digit));
  if (digits) return digits;
  const fingers = trains.some((group) => FINGER_MUSCLES.includes(group));
  const thumb = trains.includes('thumb muscles');
  return DIGITS.filter((digit) => (digit === 'thumb' ? thumb : fingers));
}

/** Time is shared by the digits that work: a squeeze of two fingers gives each half of it. */
function digitShares(work: readonly DigitWork[]): Record<Digit, number> {
  const sums: Record<Digit, number> = { thumb: 0, index: 0, middle: 0, ring: 0, little: 0 };
  let total = 0;
  for (const { movement, dose, workS } of work) {
    const digits = digitsOf(movement, dose);
    for (const digit of digits) sums[digit] += workS / digits.length;
    if (digits.length) total += workS;
  }
  if (total > 0) for (const digit of DIGITS) sums[digit] /= total;
  return sums;
}
