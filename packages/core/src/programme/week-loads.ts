import { sumOf } from './amount-loads.js';
import { isAhead, type ProgrammeContext, type WeekView } from './seen.js';

/** What the loading work of a week comes to beside that of the fullest one. */
export interface WeekLoad {
  /** Σ of all groups, in holds to failure. */
  readonly work: number;
  readonly percentOfPeak: number;
}

/** The loading work of a week’s sessions, done or still to come. */
export const workIn = ({ sessions }: Pick<WeekView, 'sessions'>): number =>
  sessions.reduce((sum, session) => sum + (session.state === 'done' || isAhead(session) ? sumOf(session.load?.workDoses ?? {}) : 0), 0);

/** How much of the fullest week each week holds. */
export function weekLoads({ weeks }: Pick<ProgrammeContext, 'weeks'>): WeekLoad[] {
  const works = weeks.map(workIn);
  const peak = Math.max(...works);
  return works.map((work) => ({ work, percentOfPeak: peak > 0 ? (100 * work) / peak : 0 }));
}
