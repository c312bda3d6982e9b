import type { Method } from '../model/method.js';
import { type PlannedDay, type Programme, PROGRAMME_LIMITS, type ProgrammeWeek, weekIndexOf } from '../model/programme.js';
import { roomsFor, type WeekDoses } from '../rules/checks/weekly-growth.js';
import { working } from '../vocabulary/constant.js';
import type { GroupDoses, MuscleGroup } from '../vocabulary/muscles.js';
import { AMOUNTS, type AmountLoads, nearest, sumOf, workLoad } from './amount-loads.js';
import { groupDoses, isPartWeek } from './seen.js';

const BEGINNER_PERCENT = working(
  'First week of a beginner',
  55,
  '% of the plan',
  'coaches start beginners at about half of what they are to reach',
  [50, 60],
).value;
const PRACTISED_PERCENT = working(
  'First week of a trained athlete',
  85,
  '% of the plan',
  'weeks that build leave room to rise',
  [75, 95],
).value;
/** An easier week comes to so much of the one before it. */
const EASIER_SHARE = 0.6;

/** What the weeks of a new programme are fitted to. */
export interface RisingQuestion {
  readonly programme: Programme;
  readonly loads: AmountLoads;
  readonly method: Pick<Method, 'weeklyGrowthPercent'>;
  /** What was done in the weeks before the first, the latest first. */
  readonly before: readonly GroupDoses[];
}

/** Weeks with what their loading sessions come to, each at an amount of its own. */
export interface FittedWeeks {
  readonly weeks: readonly ProgrammeWeek[];
  /** The most that a week before the taper comes to, all groups together: what a taper is measured by. */
  readonly peak: number;
}

/**
 * Amounts of building weeks: they rise from where somebody stands to all of the plan, each no faster than the method allows, and easier weeks come to six tenths of
 * the one before. Weeks that taper are left as they are.
 */
export function risingWeeks({ programme, loads, method, before }: RisingQuestion): FittedWeeks {
  const { weeks, sessions } = programme;
  const inWeek = (index: number) => sessions.filter(({ day }) => weekIndexOf(programme, day) === index);
  const dosesAt = (mine: readonly PlannedDay[], percent: number) => groupDoses(mine.map((session) => loads(session, percent)));
  const builds = weeks.filter(({ kind }) => kind === 'build').length;
  const [full] = [...weeks.keys()].map(inWeek).toSorted((a, b) => b.length - a.length);
  const loadAt = (percent: number) => (full ?? []).reduce((sum, session) => sum + workLoad(loads(session, percent)), 0);
  const first = firstPercent(before, dosesAt(full ?? [], 100));
  const done: GroupDoses[] = [...before];
  let [built, last, peak] = [0, 0, 0];
  const fitted = weeks.map((week, index): ProgrammeWeek => {
    const mine = inWeek(index);
    const amountPercent = amountOf(week, mine);
    if (week.kind !== 'taper')
      peak = Math.max(
        peak,
        mine.reduce((sum, session) => sum + workLoad(loads(session, amountPercent)), 0),
      );
    done.unshift(isPartWeek(programme, index) ? {} : dosesAt(mine, amountPercent));
    return { kind: week.kind, amountPercent };
  });
  return { weeks: fitted, peak: peak > 0 ? peak : loadAt(100) };

  function amountOf({ kind, amountPercent }: ProgrammeWeek, mine: readonly PlannedDay[]): number {
    if (kind === 'taper') return amountPercent;
    if (kind === 'easier') return nearest(AMOUNTS, EASIER_SHARE * loadAt(last), loadAt) ?? amountPercent;
    const target = first + ((100 - first) * built++) / Math.max(1, builds - 1);
    const groupsOver = (each: number) => tooFast(dosesAt(mine, each));
    // What the least amount does not help is mended otherwise: by a session less.
    const helpless = groupsOver(LEAST_AMOUNT);
    const possible = AMOUNTS.filter((each) => each >= last && groupsOver(each).every((group) => helpless.includes(group)));
    const rising = possible.filter((each) => loadAt(each) > loadAt(last) * (1 + LEAST_RISE));
    // Where doses are too coarse for a step that is small enough, a week is as the one before.
    last = nearest(rising, target, (each) => each) ?? (last || LEAST_AMOUNT);
    return last;
  }

  /** The groups that would grow faster than the method allows. */
  function tooFast(doses: GroupDoses): MuscleGroup[] {
    const weekly = [doses, ...done.slice(0, 3)].map(
      (each): WeekDoses =>
        (group) =>
          each[group] ?? 0,
    );
    return roomsFor(weekly[0] as WeekDoses, weekly.slice(1), method)
      .filter(({ most, week }) => week > most)
      .map(({ group }) => group);
  }
}

/** Less than this is no rise. */
const LEAST_RISE = 0.005;
const LEAST_AMOUNT = PROGRAMME_LIMITS.amountPercent.min;

/** Where the first week begins: between half of the plan for who has not trained, and most of it for who does as much already. */
function firstPercent(before: readonly GroupDoses[], plan: GroupDoses): number {
  const weeks = before.map(sumOf).filter((sum) => sum > 0);
  const usual = weeks.reduce((sum, each) => sum + each, 0) / Math.max(1, weeks.length);
  const percent = (100 * usual) / Math.max(1e-9, sumOf(plan));
  return Math.min(PRACTISED_PERCENT, Math.max(BEGINNER_PERCENT, percent));
}
