import { mean } from 'simple-statistics';
import { quantity, say } from '../../vocabulary/sentence.js';
import { dosesWithin, ofBothHands, type PastLoad } from '../../effort/past.js';
import type { SessionView } from '../../effort/session-view.js';
import type { Method } from '../../model/method.js';
import type { Check } from './finding.js';
import { working } from '../../vocabulary/constant.js';
import { type MuscleGroup, MUSCLE_GROUPS } from '../../vocabulary/muscles.js';

/** A week's growth is judged where a usual week holds at least this dose. Working value. */
const WORTH_A_WEEK = 0.2;
const ALWAYS_ALLOWED = working(
  'Weekly growth that is always allowed',
  0.4,
  'holds to failure a week, both hands',
  'a repetition more in each of three sessions: doses are whole, and of little it is more than any percentage',
  [0.2, 0.6],
).value;

/** What a week holds of a group already, and what it may hold. */
export interface WeekRoom {
  readonly group: MuscleGroup;
  /** Mean of those of the last three weeks before it in which the group was worked, without one that was much easier than the others. */
  readonly usual: number;
  readonly week: number;
  readonly most: number;
}

/** The groups of which a week may not hold any amount: those that are worked every week. */
export function weekRooms({ past, now, method }: Pick<SessionView, 'now' | 'method'> & { readonly past: readonly PastLoad[] }): WeekRoom[] {
  const doses = (fromDays: number, toDays = 0) => {
    const sums = dosesWithin(past, now, fromDays, toDays);
    return (group: MuscleGroup) => ofBothHands(sums, group);
  };
  return roomsFor(
    doses(6),
    [6, 13, 20].map((from) => doses(from + 7, from)),
    method,
  );
}

/** What a group does in a week, in holds to failure. */
export type WeekDoses = (group: MuscleGroup) => number;

/** The same of a week and the three before it, however they were added up. */
export function roomsFor(
  week: WeekDoses,
  before: readonly WeekDoses[],
  { weeklyGrowthPercent }: Pick<Method, 'weeklyGrowthPercent'>,
): WeekRoom[] {
  return MUSCLE_GROUPS.flatMap((group) => {
    // Weeks without it say nothing of what is usual: who begins, or was away, has fewer than three.
    const weeks = before.map((doses) => doses(group)).filter((dose) => dose > 0);
    const usual = usualOf(weeks);
    // What one of the three held is no growth: after an easier week the week goes on from where it was.
    const most = Math.max(usual * (1 + weeklyGrowthPercent / 100), usual + ALWAYS_ALLOWED, ...weeks);
    return usual >= WORTH_A_WEEK ? [{ group, usual, week: week(group), most }] : [];
  });
}

/** An easier week among others says nothing of what is usual. */
const EASIER = 0.7;

function usualOf(weeks: readonly number[]): number {
  const [least = 0, ...others] = weeks.toSorted((a, b) => a - b);
  const ofOthers = others.length > 0 ? mean(others) : least;
  return others.length > 1 && least < EASIER * ofOthers ? ofOthers : mean([least, ...others]);
}

/** Finds weeks that grow faster than tissue follows. */
export const weeklyGrowth: Check = {
  id: 'weekly-growth',
  title: 'Weekly load grows too fast',
  severity: 'look',
  why: 'Tissue adapts slowly. Too much, too soon is the most common way to get hurt.',
  source: 'fixed cap of the method; the ratio of short to long load is contested (Impellizzeri et al. 2020)',
  find: (view) => {
    const worst = weekRooms(view)
      .map((room) => ({ ...room, now: room.week + ofBothHands(view.account.doses, room.group) }))
      .filter(({ most, now }) => now > most)
      .sort((a, b) => b.now / b.usual - a.now / a.usual)[0];
    if (!worst) return [];
    const percent = Math.round(100 * (worst.now / worst.usual - 1));
    const text = say`With this session, the week’s load on the ${worst.group} is ${quantity(percent, '%')} above what the last three weeks usually held. The cap is ${quantity(view.method.weeklyGrowthPercent, '%')}.`;
    return [{ blockIds: [], text }];
  },
};
