import { amountLimit, amountOf, type Dose, oneSetLess, setCount, setGroupsOf, withAmounts } from '../../model/dose.js';
import { atEffort } from '../../model/effort-or-load.js';
import { must } from '../../vocabulary/lists.js';
import { type DosingKind, type Range, USUAL_RANGES, type UsualRange } from '../../vocabulary/usual-ranges.js';

/** Whether more and shorter sets come to no more than a usual dose does: ten holds of five seconds are as usual as three of fifteen. */
function spreads(dose: Dose, range: UsualRange): boolean {
  const amount = range.amount[dose.work.kind];
  const { sets } = range;
  if (!amount || !sets || dose.work.kind !== 'time' || dose.then || dose.work.open) return false;
  const [seconds, count] = [amountOf(dose.work), setCount(dose)];
  const total = seconds * count;
  return count > sets[1] && seconds <= amount[1] && total >= amount[0] * sets[0] && total <= amount[1] * sets[1];
}

/** Sentences on what in a dose lies outside its customary range; empty when all is usual. @param times how often it is done: rounds add up */
export function unusualInDose(dose: Dose, kind: DosingKind, times = 1): string[] {
  const range: UsualRange = USUAL_RANGES[kind];
  const notes: string[] = [];
  const judge = (value: number | undefined, usual: Range | undefined, unit: string) => {
    if (value === undefined || !usual || (value >= usual[0] && value <= usual[1])) return;
    const where = value < usual[0] ? 'below' : 'above';
    notes.push(`${value} ${unit} is ${where} the usual ${usual[0]}–${usual[1]} ${unit} for ${range.label}.`);
  };
  const { unit } = amountLimit(dose.work.kind);
  const isSpread = spreads(dose, range);
  const amounts = new Set(
    setGroupsOf(dose).flatMap(({ work }) =>
      work.open === 'form' ? [] : [amountOf(work), ...(work.upTo === undefined ? [] : [work.upTo])],
    ),
  );
  if (!isSpread) {
    for (const amount of amounts) judge(amount, range.amount[dose.work.kind], unit);
    judge(setCount(dose) * times, range.sets, times > 1 ? 'sets in all rounds' : 'sets');
  }
  judge(dose.rightAmount, range.amount[dose.work.kind], unit);
  judge(dose.effortPercent, range.effortPercent, '% effort');
  judge(dose.effortToPercent, range.effortPercent, '% effort');
  judge(dose.holdS, range.holdS, 's hold');
  return notes.length ? [...notes, range.why] : [];
}

/** The dose nearest to this one that lies within its customary range; the same dose when it does already. */
export function usualDose(dose: Dose, kind: DosingKind): Dose {
  const range: UsualRange = USUAL_RANGES[kind];
  const form = (value: number, usual: Range | undefined) => (usual ? Math.min(usual[1], Math.max(usual[0], value)) : value);
  const amount = range.amount[dose.work.kind];
  const amounts = withAmounts(dose, (now, { open }) => (open === 'form' ? now : form(now, amount)));
  const sets = withSets(amounts, range.sets);
  return {
    ...(dose.effortPercent === undefined ? sets : inBand(sets, dose.effortPercent, range.effortPercent)),
    ...(dose.holdS !== undefined && { holdS: form(dose.holdS, range.holdS) }),
  };
}

/** The effort nearest to a dose's own inside what is usual, with its range as far as that goes. */
function inBand(dose: Dose, percent: number, usual: Range | undefined): Dose {
  if (!usual) return dose;
  const { effortToPercent, ...fitted } = atEffort(dose, Math.min(usual[1], Math.max(usual[0], percent)));
  const to = Math.min(usual[1], effortToPercent ?? 0);
  return to > (fitted.effortPercent ?? 0) ? { ...fitted, effortToPercent: to } : fitted;
}

/** So many sets: more of the first, or less from the end. */
function withSets(dose: Dose, range: Range | undefined): Dose {
  if (!range) return dose;
  const [least, most] = range;
  let fitted = dose;
  if (setCount(fitted) < least) fitted = { ...fitted, sets: fitted.sets + least - setCount(fitted) };
  while (setCount(fitted) > most) fitted = must(oneSetLess(fitted), 'a set to take from more than are usual');
  return fitted;
}
