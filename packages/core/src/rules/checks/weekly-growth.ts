import { dosesWithin, ofBothHands } from '../../effort/past.js';
import type { SessionView } from '../../effort/session-view.js';
import type { Check } from './finding.js';
import { type MuscleGroup, MUSCLE_GROUPS } from '../../vocabulary/muscles.js';

/** A week's growth is judged where a usual week holds at least this dose. Working value. */
const WORTH_A_WEEK = 0.2;

/** What a week holds of a group already, and what it may hold. */
export interface WeekRoom {
  readonly group: MuscleGroup;
  /** Mean of the last three weeks before it. */
  readonly usual: number;
  readonly week: number;
  readonly most: number;
}

/** The groups of which a week may not hold any amount: those that are worked every week. */
export function weekRooms({ past, now, method }: Pick<SessionView, 'past' | 'now' | 'method'>): WeekRoom[] {
  const week = dosesWithin(past, now, 6);
  const weeks = dosesWithin(past, now, 27, 6);
  return MUSCLE_GROUPS.flatMap((group) => {
    const usual = ofBothHands(weeks, group) / 3;
    const most = usual * (1 + method.weeklyGrowthPercent / 100);
    return usual >= WORTH_A_WEEK ? [{ group, usual, week: ofBothHands(week, group), most }] : [];
  });
}

/** Finds weeks that grow faster than tissue follows. */
export const weeklyGrowth: Check = {
  id: 'weekly-growth',
  title: 'The week grows too fast',
  severity: 'look',
  why: 'Tissue follows slowly: too much, too soon is the commonest way into trouble.',
  source: 'plain cap of the method; the ratio of short to long load is contested (Impellizzeri et al. 2020)',
  find: (view) => {
    const worst = weekRooms(view)
      .map((room) => ({ ...room, now: room.week + ofBothHands(view.account.doses, room.group) }))
      .filter(({ most, now }) => now > most)
      .sort((a, b) => b.now / b.usual - a.now / a.usual)[0];
    if (!worst) return [];
    const percent = Math.round(100 * (worst.now / worst.usual - 1));
    const text = `With this session the week of the ${worst.group} is ${percent} % above the usual of the last three; the cap is ${view.method.weeklyGrowthPercent} %.`;
    return [{ blockIds: [], text }];
  },
};
