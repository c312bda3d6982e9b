import { quantity, say, type Sentence } from '../vocabulary/sentence.js';
import { capacityOf, type Person } from '../mechanics/capacity.js';
import { referencePerson } from '../mechanics/person.js';
import { REFERENCE_BODIES } from '../model/body.js';
import { type Action, ACTIONS } from '../vocabulary/actions.js';
import { HANDS } from '../vocabulary/hands.js';
import { working } from '../vocabulary/constant.js';
import { isAction } from '../vocabulary/measures.js';
import type { Reading } from '../model/reading.js';
import { GRAVITY } from '../vocabulary/gravity.js';

const FEEBLE = working(
  'Least that is taken without asking',
  0.3,
  'of what is believed',
  'below it hardly any grown hand is; a slip of the unit lies at a tenth',
  [0.2, 0.4],
).value;
const MIGHTY = working(
  'Most that is taken without asking',
  2.8,
  'times what is believed',
  'above it hardly any hand is; a slip of the unit lies at ten',
  [2.2, 4],
).value;

/** A force whose number fits another unit better. */
export interface UnitDoubt {
  /** The unit that would fit, and the value in newtons that it would be. */
  readonly rather: 'kg' | 'N';
  readonly wouldBeN: number;
  readonly text: Sentence;
}

/**
 * Whether a force, taken as newtons, is so far from what this action’s maxima are that another unit was likely meant: kilograms sent as newtons are a tenth,
 * newtons sent as kilograms ten times as much. Null where it may well be so, and where no other unit fits better.
 * @param person whose maximum it is said to be; the range of grown people where nobody is named
 */
export function unitDoubt(action: Action, valueN: number, person?: Person): UnitDoubt | null {
  if (ACTIONS[action] !== 'N' || valueN <= 0) return null;
  const [low, high] = person ? spanOf(action, person) : ANYBODY(action);
  const fits = (force: number) => force >= low && force <= high;
  if (fits(valueN)) return null;
  if (valueN < low && fits(valueN * GRAVITY)) {
    const text = say`${quantity(valueN, 'N')} is less than nearly any hand’s ${action}: was it ${quantity(valueN, 'kg', 1)}, that is ${quantity(valueN * GRAVITY, 'N')}?`;
    return { rather: 'kg', wouldBeN: valueN * GRAVITY, text };
  }
  if (valueN > high && fits(valueN / GRAVITY)) {
    const kg = valueN / GRAVITY;
    const text = say`${quantity(valueN, 'N')}, that is ${quantity(kg, 'kg')}, is more than nearly any hand’s ${action}: was it ${quantity(kg, 'N')}?`;
    return { rather: 'N', wouldBeN: kg, text };
  }
  return null;
}

/** What is to be asked of a reading before it is kept; null of whatever is no maximum force. @example readingDoubt({ kind: 'maximum', of: 'grip', value: 45 })?.rather → 'kg' */
export const readingDoubt = ({ kind, of, value }: Pick<Reading, 'kind' | 'of' | 'value'>, person?: Person): UnitDoubt | null =>
  kind === 'maximum' && isAction(of) ? unitDoubt(of, value, person) : null;

function spanOf(action: Action, person: Person): readonly [number, number] {
  const values = HANDS.map((hand) => capacityOf(person, action, hand).value);
  return [FEEBLE * Math.min(...values), MIGHTY * Math.max(...values)];
}

const ANY_DAY = '2026-01-01';
/** From a tenth-weakest woman of seventy to a mighty man. */
const ANYBODY = (action: Action): readonly [number, number] => {
  const old = { ...referencePerson(REFERENCE_BODIES.female, ANY_DAY), ageYears: 75 };
  return [spanOf(action, old)[0], spanOf(action, referencePerson(REFERENCE_BODIES.male, ANY_DAY))[1]];
};
