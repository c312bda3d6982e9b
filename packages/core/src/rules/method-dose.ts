import { type Dose, workOf } from '../model/dose.js';
import type { RecordedCaution } from '../model/athlete.js';
import type { Method } from '../model/method.js';
import type { Level, Movement } from '../model/movement.js';
import type { Hand, SidePlan } from '../vocabulary/hands.js';
import { USUAL_RANGES, type UsualRange } from '../vocabulary/usual-ranges.js';
import { openSides } from './clearance.js';
import type { WorkKind } from '../vocabulary/work.js';

/** The side plan of a movement that suits a method, or the movement's usual one where none does. */
export function sidesFor(movement: Movement, method: Method, weaker: Hand | null): SidePlan {
  const wanted: readonly SidePlan[] =
    method.sides === 'together'
      ? ['together', 'left-then-right']
      : method.sides === 'one at a time'
        ? ['left-then-right', 'right-then-left', 'alternating']
        : method.sides === 'weaker first' && weaker
          ? [weaker === 'left' ? 'left-then-right' : 'right-then-left']
          : [movement.sides[0]];
  return wanted.find((plan) => movement.sides.includes(plan)) ?? movement.sides[0];
}

/** The middle of what is usual for a kind of work, whole. */
function usualAmount(level: Level, kind: WorkKind): number | null {
  const range = (USUAL_RANGES[level.dosing] as UsualRange).amount[kind];
  return range ? Math.round((range[0] + range[1]) / 2) : null;
}

/** A dose in the method's own kind of work, where the movement allows it and a usual range for it is known. */
export function inMethodKind(dose: Dose, movement: Movement, level: Level, method: Method): Dose {
  const { dosing } = method;
  if (dose.work.kind === dosing || !movement.work.includes(dosing)) return dose;
  const amount = usualAmount(level, dosing);
  if (amount === null) return dose;
  const { holdS, tempo, ...rest } = dose;
  const sides = dosing !== 'repetitions' && dose.sides === 'alternating' ? movement.sides[0] : dose.sides;
  if (sides === 'alternating' && dosing !== 'repetitions') return dose;
  const own = dosing === 'repetitions' ? { ...(holdS !== undefined && { holdS }), ...(tempo && { tempo }) } : {};
  return { ...rest, ...own, sides, work: workOf(dosing, amount) };
}

/** Where presses are set by the effort policy; without a band they stay as the level has them. */
const EFFORT_BANDS: Record<Method['effort'], readonly [number, number] | null> = {
  gentle: [20, 40],
  medium: [40, 60],
  maximal: null,
};

/** The effort of a press as the method would have it, inside what is usual for the level where the two meet. */
function effortFor(effortPercent: number, method: Method): number {
  const band = EFFORT_BANDS[method.effort];
  const wanted = band ? Math.min(band[1], Math.max(band[0], effortPercent)) : effortPercent;
  return Math.min(wanted, method.effortCeilingPercent);
}

/**
 * What a newly added block is dosed with: the level's usual dose as the method would have it, by the hands that may do it.
 * @param cautions of whom it is for, as they stand on the day
 */
export function doseFor(
  movement: Movement,
  level: Level,
  method: Method,
  weaker: Hand | null,
  cautions: readonly RecordedCaution[] = [],
): Dose {
  const usual = sidesFor(movement, method, weaker);
  const open = cautions.length ? openSides(movement, level, cautions) : [];
  const sided: Dose = { ...level.dose, sides: open.includes(usual) ? usual : (open[0] ?? usual) };
  const dose =
    sided.sides === 'alternating' && method.dosing !== 'repetitions'
      ? sided
      : inMethodKind(sided, movement, level, method);
  if (dose.effortPercent === undefined) return dose;
  return { ...dose, effortPercent: effortFor(dose.effortPercent, method) };
}
