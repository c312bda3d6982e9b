import { type Programme, type ProgrammeWeek, usualWeek, type WeekKind } from '../model/programme.js';
import { weekToward } from './toward-event.js';

/** So many weeks of building before one that is easier, at most. */
export const BUILD_WEEKS = 4;

/** What the weeks of a programme are made from. */
export interface WeeksWish {
  readonly fromDay: string;
  readonly weeks: number;
  /** Every so manieth week is easier; none where it is null, up to the most weeks of building in a row. */
  readonly easierEvery: number | null;
  readonly event?: Programme['event'];
}

/**
 * Weeks of a programme: building with easier ones spread evenly between, and the weeks that lead to an event a taper. The week before a taper is no easier one:
 * two such weeks on end lose more than they rest.
 */
export function weeksOf({ weeks, easierEvery, event, fromDay }: WeeksWish): ProgrammeWeek[] {
  const first = event ? Math.min(weeks, weekToward({ fromDay }, event.day)) : weeks;
  const easier = Math.max(
    easierEvery === null ? 0 : Math.floor((first - 1) / easierEvery),
    Math.ceil((first - BUILD_WEEKS) / (BUILD_WEEKS + 1)),
    0,
  );
  const kinds: WeekKind[] = [];
  for (let run = 0; run <= easier; run++) {
    // What does not divide evenly makes the later runs longer.
    const [upTo, from] = [run + 1, run].map((count) => Math.floor((count * (first - easier)) / (easier + 1)));
    kinds.push(...Array.from({ length: (upTo ?? 0) - (from ?? 0) }, (): WeekKind => 'build'));
    if (run < easier) kinds.push('easier');
  }
  while (kinds.length < weeks) kinds.push('taper');
  return kinds.map(usualWeek);
}
