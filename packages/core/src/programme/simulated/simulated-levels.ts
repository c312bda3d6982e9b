import { formOf } from '../../effort/turn-work.js';
import { type Rates, ratesOf } from '../../effort/rates.js';
import type { Person } from '../../mechanics/capacity.js';
import { amountOf, type Dose } from '../../model/dose.js';
import { effortMeans, type Level, type Movement } from '../../model/movement.js';
import { GROUP_OF } from '../../vocabulary/muscles.js';
import { working } from '../../vocabulary/constant.js';
import { firstOf } from '../../vocabulary/lists.js';
import { UNIT_OF } from '../../vocabulary/work.js';
import type { SetUnit } from '../../vocabulary/work.js';
import { effortOf } from '../../rules/checks/choose.js';

/** A level as it asks somebody of ordinary strength. */
export interface SimulatedLevel {
  readonly level: Level;
  readonly dose: Dose;
  readonly unit: SetUnit;
  /** Share of an ordinary maximum; of one’s own where it is pressed at a share. */
  readonly effort: number;
  /** It is a share of one’s own maximum, whoever does it. */
  readonly isPressed: boolean;
  /** The load on tissue as a share of the most that an ordinary hand tolerates: by weight on the hand, or by effort. */
  readonly strain: number;
  readonly rates: Rates;
  /** Seconds of work in one of its unit. */
  readonly secondsEach: number;
}

const ALL_BORNE_PERCENT = working(
  'Simulated: all that an ordinary hand bears',
  70,
  '% of body weight',
  'a plank on both hands is half of it; hands that carry the body upside down were prepared for it',
  [50, 90],
).value;
const CALM_PRESS = working(
  'Simulated: strain of a press',
  0.7,
  'of that of a load',
  'pressing without motion calms rather than irritates',
  [0.5, 1],
).value;
/** What one of each unit takes where the dose does not say: three seconds for a stroke, ten for a breath, one and a half for a metre; working values. */
const SECONDS: Record<SetUnit, number> = { repetitions: 3, seconds: 1, breaths: 10, metres: 1.5 };
/** A stroke is charged by its mean, which of a half sine is two thirds and a little less. */
const STROKE = 0.64;

/** The levels of a movement as they ask an ordinary person; those that this body cannot take are left out. */
export function simulatedLevels(movement: Movement, person: Person): SimulatedLevel[] {
  return movement.ladder.flatMap((level): SimulatedLevel[] => {
    const form = formOf(person, movement, level, level.dose);
    if (!form) return [];
    const { dose } = level;
    const [left] = form.demand.left.efforts;
    const group = left ? GROUP_OF[left.action] : firstOf(movement.trains);
    const isPressed = effortMeans(level) === 'pressed';
    const unit = UNIT_OF[dose.work.kind];
    const effort = isPressed ? (dose.effortPercent ?? 50) / 100 : effortOf(form.demand) / 100;
    const strain = Math.max(effort * (isPressed ? CALM_PRESS : 1), form.demand.left.loadPercentBW / ALL_BORNE_PERCENT);
    const stroke = unit === 'repetitions' && !isPressed ? STROKE : 1;
    return [
      {
        ...{ level, dose, unit, isPressed },
        effort: effort * stroke,
        strain,
        rates: ratesOf(group),
        secondsEach: unit === 'repetitions' ? (dose.holdS ?? SECONDS.repetitions) : SECONDS[unit],
      },
    ];
  });
}

/** What a dose comes to at first: sets and the amount of each. */
export const beginOf = ({ dose }: SimulatedLevel): { sets: number; amount: number; effortPercent: number | null } => ({
  sets: dose.sets,
  amount: amountOf(dose.work),
  effortPercent: dose.effortPercent ?? null,
});
