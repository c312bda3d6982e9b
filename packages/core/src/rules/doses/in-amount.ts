import { amountLimit, amountOf, type Dose, DOSE_LIMITS, type SetGroup, withAmount, withAmounts, withSetGroups } from '../../model/dose.js';
import type { WorkKind } from '../../vocabulary/work.js';

/** So near to the wanted amount is near enough to have fewer sets. */
const NEAR = 0.1;

/** What is counted one by one. */
const COUNTED: readonly WorkKind[] = ['repetitions', 'breaths'];
const HALF = 0.5;

/**
 * A dose of another amount: fewer sets where that comes near, else less in each, where need be one repetition less in the later sets; never its effort: easier
 * weeks are shorter and no lighter, so that what was gained stays (Bosquet et al. 2007, Med Sci Sports Exerc 39:1358–65, on volume and intensity of a taper).
 * @param upFrom the part of a repetition from which on it is a whole one: blocks that differ in it do not all grow in the same week
 * @example printSets(inAmount(parseDose('3x10'), 60)) → '2x9'
 */
export function inAmount(dose: Dose, percent: number, upFrom = HALF): Dose {
  if (percent === 100) return dose;
  const share = percent / 100;
  if (dose.then) return withAmounts(dose, (now) => now * share);
  const each = amountOf(dose.work);
  const wanted = each * dose.sets * share;
  const { min } = amountLimit(dose.work.kind);
  if (share < 1 && !dose.work.open) {
    return COUNTED.includes(dose.work.kind) && dose.rightAmount === undefined
      ? inUnequalSets(dose, Math.max(min, Math.floor(wanted + 1 - upFrom)), each)
      : inEqualSets(dose, wanted, each, min);
  }
  const counts = Array.from({ length: Math.max(dose.sets, Math.round(dose.sets * share)) }, (_, less) => less + 1);
  // Sets of an easier week are no longer ones.
  const choices = counts.map((sets) => {
    const amount = Math.max(min, Math.round(share < 1 ? Math.min(each, wanted / sets) : wanted / sets));
    return { sets, amount, off: Math.abs(sets * amount - wanted) / wanted };
  });
  const inReach = choices.filter(({ amount }) => share < 1 || amount <= 1.5 * each);
  const nearest = [...inReach].sort((a, b) => a.off - b.off)[0];
  const { sets, amount } = inReach.find(({ off }) => off <= NEAR) ?? nearest ?? { sets: dose.sets, amount: each };
  return withSetGroups(dose, [{ sets: Math.min(sets, DOSE_LIMITS.sets.max), work: withAmount(dose.work, amount) }]);
}

/** So much altogether in as few sets as hold it, as long as each other. */
function inEqualSets(dose: Dose, total: number, each: number, min: number): Dose {
  const sets = Math.ceil(total / each - LITTLE);
  return withSetGroups(dose, [{ sets, work: withAmount(dose.work, Math.max(min, Math.round(total / sets))) }]);
}
const LITTLE = 1e-9;

/** So much altogether in as few sets as hold it: the first ones have one more than the others. */
function inUnequalSets(dose: Dose, total: number, each: number): Dose {
  const sets = Math.ceil(total / each);
  const less = Math.floor(total / sets);
  const longer = total - sets * less;
  const group = (count: number, amount: number): SetGroup => ({ sets: count, work: withAmount(dose.work, amount) });
  if (longer === 0) return withSetGroups(dose, [group(sets, less)]);
  return withSetGroups(dose, [group(longer, less + 1), group(sets - longer, less)]);
}
