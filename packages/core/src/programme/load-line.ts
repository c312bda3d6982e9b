import { RATIO_BAND, weightedMean } from '../effort/past.js';
import { addDays } from '../vocabulary/days.js';
import type { MuscleGroup } from '../vocabulary/muscles.js';
import type { ProgrammeView } from './evaluate.js';
import { dosesBetween, lastDayOf } from './seen.js';

/** The load of a group on a day of a programme, in holds to failure a day. */
export interface LoadPoint {
  readonly day: string;
  readonly dose: number;
  /** Exponentially weighted daily means over 7 and over 28 days. */
  readonly week: number;
  readonly month: number;
  /** Between what the week lies where it goes on as the month did. */
  readonly band: readonly [low: number, high: number];
  /** Carried out until today; planned from then on. */
  readonly isPlanned: boolean;
}

const LOOK_BACK = 28;

/** Day by day how a group is loaded, as it was carried out and as it is planned. */
export function loadLine(view: ProgrammeView, group: MuscleGroup): LoadPoint[] {
  const { programme, course, today } = view;
  const first = addDays(programme.fromDay, -LOOK_BACK);
  const last = lastDayOf(programme);
  const days: string[] = [];
  for (let day = first; day <= last; day = addDays(day, 1)) days.push(day);
  const doses = days.map((day) => dosesBetween(course, day, day)[group] ?? 0);
  return days.slice(LOOK_BACK).map((day, index): LoadPoint => {
    const back = doses.slice(index, index + LOOK_BACK + 1).reverse();
    const month = weightedMean(back, LOOK_BACK);
    return {
      day,
      dose: back[0] ?? 0,
      week: weightedMean(back, 7),
      month,
      band: [RATIO_BAND[0] * month, RATIO_BAND[1] * month],
      isPlanned: day >= today,
    };
  });
}

/** Too small to speak of, in holds to failure. */
const NEXT_TO_NOTHING = 0.01;

/** The groups that a programme loads, the most first. */
export function loadedGroups({ weeks }: Pick<ProgrammeView, 'weeks'>): MuscleGroup[] {
  const sums = new Map<MuscleGroup, number>();
  for (const { doses } of weeks) {
    for (const group of Object.keys(doses) as MuscleGroup[]) sums.set(group, (sums.get(group) ?? 0) + (doses[group] ?? 0));
  }
  return [...sums]
    .filter(([, dose]) => dose > NEXT_TO_NOTHING)
    .sort((a, b) => b[1] - a[1])
    .map(([group]) => group);
}
