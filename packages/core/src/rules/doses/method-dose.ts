import { amountOf, type Dose, setCount, workOf } from '../../model/dose.js';
import type { RecordedCaution } from '../../model/athlete.js';
import type { Method } from '../../model/method.js';
import type { Level, Movement } from '../../model/movement.js';
import type { Hand, SidePlan } from '../../vocabulary/hands.js';
import { USUAL_RANGES, type UsualRange } from '../../vocabulary/usual-ranges.js';
import { openSides } from '../safety/clearance.js';
import type { WorkKind } from '../../vocabulary/work.js';

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
  // How long a rope is wound is the rope’s: a dozen of it is nobody’s dose.
  if (level.load.kind === 'roller') return dose;
  const amount = usualAmount(level, dosing);
  return amount === null ? dose : inKind(dose, movement, dosing, amount);
}

/** What a work of each kind is when no range says more; working values. */
const SOME: Record<WorkKind, number> = { repetitions: 8, time: 30, breaths: 5, distance: 30 };

/** A dose in a kind of work that somebody chose: as the level itself has it, else the middle of what is usual. */
export function doseAs(dose: Dose, movement: Movement, level: Level, kind: WorkKind): Dose {
  if (level.dose.work.kind !== kind) return inKind(dose, movement, kind, usualAmount(level, kind) ?? SOME[kind]);
  const { holdS, tempo, work } = level.dose;
  const back = inKind(dose, movement, kind, amountOf(work));
  return { ...back, ...(holdS !== undefined && { holdS }), ...(tempo && { tempo }) };
}

/** The same dose counted otherwise; unchanged where the movement knows no such work. */
function inKind(dose: Dose, movement: Movement, kind: WorkKind, amount: number): Dose {
  if (dose.work.kind === kind || !movement.work.includes(kind)) return dose;
  const { holdS, pauseS: _pause, tempo, faster: _faster, then: _then, rightAmount: _right, goal: _goal, ...rest } = dose;
  // Only repetitions go from hand to hand in turn, and have a pace of their own.
  const sides = kind !== 'repetitions' && dose.sides === 'alternating' ? movement.sides[0] : dose.sides;
  if (sides === 'alternating' && kind !== 'repetitions') return dose;
  const own = kind === 'repetitions' ? { ...(holdS !== undefined && { holdS }), ...(tempo && { tempo }) } : {};
  return { ...rest, ...own, sides, sets: setCount(dose), work: workOf(kind, amount) };
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
  const dose = sided.sides === 'alternating' && method.dosing !== 'repetitions' ? sided : inMethodKind(sided, movement, level, method);
  if (dose.effortPercent === undefined) return dose;
  return { ...dose, effortPercent: effortFor(dose.effortPercent, method) };
}
