import type { Contact } from '../vocabulary/contacts.js';
import type { Loading, Motion } from '../vocabulary/motions.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';
import type { Place, Posture } from '../vocabulary/places.js';
import type { Demand } from '../mechanics/demand.js';
import type { FamilyId, Level, Movement } from '../model/movement.js';
import { working } from '../vocabulary/constant.js';
import { HANDS } from '../vocabulary/hands.js';

/** Which work counts toward a want: all that is named has to fit, one of each list. */
export interface SuchWork {
  readonly loadings?: readonly Loading[];
  readonly families?: readonly FamilyId[];
  /** Muscles that work in it, or that it stretches. */
  readonly groups?: readonly MuscleGroup[];
  readonly motions?: readonly Motion[];
  readonly contacts?: readonly Contact[];
  readonly postures?: readonly Posture[];
}

/** What the goal itself asks of a hand: the nearer the work comes to it, the more it counts. */
export interface GoalDemand {
  readonly effortPercent?: number;
  readonly loadPercentBW?: number;
  readonly extensionDeg?: number;
}

/** One thing that a goal wants of a session. */
export interface Want {
  /** As it is said: “weight on the bent-back wrist”. */
  readonly words: string;
  /** Beside the other wants of the goal. */
  readonly weight: number;
  /** Its share of the time in which hands work, beside those of the other wants. */
  readonly share: number;
  /** One of these fits. */
  readonly such: readonly SuchWork[];
  readonly asks?: GoalDemand;
}

/** What a session is for, as data. */
export interface TrainingGoal {
  readonly id: string;
  readonly name: string;
  /** One line: whom it serves, and how. */
  readonly purpose: string;
  readonly wants: readonly Want[];
  /** Where it is trained for, where that is not anywhere. */
  readonly places?: readonly Place[];
}

/** Finds a goal by its id. */
export type TrainingGoalLookup = (id: string) => TrainingGoal | undefined;

/** Whether a level is work of the kind that a want asks for. */
export const isSuch = ({ such }: Want, movement: Movement, level: Level): boolean => such.some((each) => fits(each, movement, level));

/** One of each list that is named. */
function fits(such: SuchWork, movement: Movement, level: Level): boolean {
  const among = <T>(list: readonly T[] | undefined, ...mine: readonly T[]) =>
    list === undefined || mine.some((each) => list.includes(each));
  return (
    among(such.loadings, level.loading) &&
    among(such.contacts, level.contact) &&
    among(such.postures, level.posture) &&
    among(such.families, movement.family) &&
    among(such.groups, ...movement.trains) &&
    among(such.motions, ...movement.motions)
  );
}

/** Work far below what the goal asks still counts so much. Working value. */
const LEAST_COUNTED = 0.25;

/**
 * How much of its time a level counts toward a want: nothing where it is other work, all where it asks as much as the goal does, a part where it asks
 * less. 0–1.
 */
export function countsFor(want: Want, movement: Movement, level: Level, demand: Demand): number {
  if (!isSuch(want, movement, level)) return 0;
  const { asks = {} } = want;
  const most = (of: (hand: (typeof HANDS)[number]) => number) => Math.max(...HANDS.map(of));
  const reached = [
    reachedShare(asks.effortPercent, () => most((hand) => demand[hand].effortPercent)),
    reachedShare(asks.loadPercentBW, () => most((hand) => demand[hand].loadPercentBW)),
    reachedShare(asks.extensionDeg, () => most((hand) => (demand[hand].angle?.motion === 'wrist extension' ? demand[hand].angle.deg : 0))),
  ];
  return Math.max(LEAST_COUNTED, Math.min(...reached));
}

/** Of the minutes of a session hands work so much, when everything is as it should be. */
const WORKING = working(
  'Working share of a session',
  0.62,
  'of the minutes',
  'the rest is announcing, changing sides and place, and resting',
  [0.5, 0.75],
);

/** Seconds for which each hand works for each want of a goal when it has all that it wants. */
export function targetsS({ wants }: TrainingGoal, minutes: number): number[] {
  const all = wants.reduce((sum, { share }) => sum + share, 0);
  return wants.map(({ share }) => (60 * minutes * WORKING.value * share) / all);
}

const reachedShare = (wantedDeg: number | undefined, given: () => number) =>
  wantedDeg === undefined ? 1 : Math.min(1, given() / wantedDeg);
