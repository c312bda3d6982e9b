import { amountLimit, amountOf, type Dose, DOSE_LIMITS, withAmounts, workOf } from '../../model/dose.js';

/** So near to the wanted amount is near enough to have fewer sets. */
const NEAR = 0.1;

/**
 * A dose of another amount: fewer sets where that comes near, else less in each; never its effort: easier weeks are shorter and no lighter, so that what
 * was gained stays (Bosquet et al. 2007, Med Sci Sports Exerc 39:1358–65, on volume and intensity of a taper).
 * @example printSets(inAmount(parseDose('3x10'), 60)) → '2x9'
 */
export function inAmount(dose: Dose, percent: number): Dose {
  if (percent === 100) return dose;
  const share = percent / 100;
  if (dose.then) return withAmounts(dose, (now) => now * share);
  const each = amountOf(dose.work);
  const wanted = each * dose.sets * share;
  const { min } = amountLimit(dose.work.kind);
  const counts = Array.from({ length: Math.max(dose.sets, Math.round(dose.sets * share)) }, (_, less) => less + 1);
  // Sets of an easier week are no longer ones.
  const choices = counts.map((sets) => {
    const amount = Math.max(min, Math.round(share < 1 ? Math.min(each, wanted / sets) : wanted / sets));
    return { sets, amount, off: Math.abs(sets * amount - wanted) / wanted };
  });
  const inReach = choices.filter(({ amount }) => share < 1 || amount <= 1.5 * each);
  const nearest = [...inReach].sort((a, b) => a.off - b.off)[0];
  const { sets, amount } = inReach.find(({ off }) => off <= NEAR) ?? nearest ?? { sets: dose.sets, amount: each };
  return { ...dose, sets: Math.min(sets, DOSE_LIMITS.sets.max), work: workOf(dose.work.kind, amount, dose.work.open) };
}
