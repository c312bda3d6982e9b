import { counted } from '../vocabulary/text.js';
import { calendarDay, say, type Sentence } from '../vocabulary/sentence.js';
import { uniformInt } from 'pure-rand/distribution/uniformInt';
import { xoroshiro128plus } from 'pure-rand/generator/xoroshiro128plus';
import { median, quantile } from 'simple-statistics';
import { addDays, daysBetween } from '../vocabulary/days.js';
import { itemAt } from '../vocabulary/lists.js';

/** One value on a day (ISO 8601). */
export interface DayValue {
  readonly onDay: string;
  readonly value: number;
}

/** When a line reaches a goal: the likeliest day, and between what days it lies in nineteen of twenty cases; the later end is open where some lines never do. */
export interface Forecast {
  readonly onDay: string;
  readonly fromDay: string;
  readonly toDay: string | null;
}

/** How readings run over time. */
export interface Trend {
  /** Theil–Sen slope, per week; null with less than two days. */
  readonly slopePerWeek: number | null;
  /** Where the slope lies in nineteen of twenty cases. */
  readonly intervalPerWeek: readonly [low: number, high: number] | null;
  /** The line's value on the last day. */
  readonly nowValue: number | null;
  /** Whether the whole interval is on one side of nothing. */
  readonly direction: 'up' | 'down' | 'none';
  readonly forecast: Forecast | null;
  /** Why there is no forecast, or null where there is one or none was asked for. */
  readonly why: Sentence | null;
}

const FEWEST_READINGS = 4;
const FEWEST_DAYS = 3;
const DRAWS = 1000;
/** The same readings always give the same interval. */
const SEED = 20260511;
const DAYS_A_WEEK = 7;
/** What lies further ahead is not said. */
const FURTHEST_DAYS = 365;
const TAIL = 0.025;

interface Line {
  /** Per day. */
  readonly slope: number;
  readonly at: (day: number) => number;
}

/** Medians of the slopes between all pairs of days, and of what each reading then leaves (Theil 1950; Sen 1968, J Am Stat Assoc 63:1379–89). */
function theilSen(points: readonly (readonly [day: number, value: number])[]): Line | null {
  const slopes: number[] = [];
  for (const [index, [day, value]] of points.entries()) {
    for (const [later, other] of points.slice(index + 1)) {
      if (later !== day) slopes.push((other - value) / (later - day));
    }
  }
  if (slopes.length === 0) return null;
  const slope = median(slopes);
  const start = median(points.map(([day, value]) => value - slope * day));
  return { slope, at: (day) => start + slope * day };
}

/**
 * The trend of readings, with a bootstrap interval over the readings (percentiles of 1000 draws), and the day on which a goal is met; with its reason where
 * that cannot be said. @param goal in the unit of the values
 * @example trendOf([{ onDay: '2026-01-01', value: 60 }, { onDay: '2026-01-08', value: 62 }]).slopePerWeek → 2
 */
export function trendOf(readings: readonly DayValue[], goal?: number): Trend {
  const sorted = readings.toSorted((a, b) => a.onDay.localeCompare(b.onDay));
  const [first, last] = [sorted[0], sorted.at(-1)];
  if (!first || !last) return noTrend('No readings yet. Test on four days to see a trend.');
  const points = sorted.map(({ onDay, value }) => [daysBetween(first.onDay, onDay), value] as const);
  const line = theilSen(points);
  if (!line)
    return {
      ...noTrend('All readings are from one day. Test on four days to see a trend.'),
      nowValue: median(points.map(([, value]) => value)),
    };
  const slopePerWeek = line.slope * DAYS_A_WEEK;
  const nowDay = itemAt(points, points.length - 1)[0];
  const base = { slopePerWeek, nowValue: line.at(nowDay) };
  const days = new Set(points.map(([day]) => day)).size;
  if (points.length < FEWEST_READINGS || days < FEWEST_DAYS) {
    const why = say`Not enough data: ${points.length} readings on ${counted(days, 'day')}. Four readings on at least three days are needed.`;
    return { ...base, intervalPerWeek: null, direction: 'none', forecast: null, why };
  }
  const lines = drawn(points);
  const slopes = lines.map(({ slope }) => slope * DAYS_A_WEEK);
  const intervalPerWeek = [quantile(slopes, TAIL), quantile(slopes, 1 - TAIL)] as const;
  const direction = intervalPerWeek[0] > 0 ? 'up' : intervalPerWeek[1] < 0 ? 'down' : 'none';
  const result = { ...base, intervalPerWeek, direction } as const;
  if (goal === undefined) return { ...result, forecast: null, why: null };
  return {
    ...result,
    ...forecastOf(goal, { line, lines, nowDay, direction, firstDay: first.onDay, lastDay: last.onDay }),
  };
}

const noTrend = (why: string): Trend => ({
  slopePerWeek: null,
  intervalPerWeek: null,
  nowValue: null,
  direction: 'none',
  forecast: null,
  why,
});

/** Lines through resampled readings, each sample as large as the original, with repeats. */
function drawn(points: readonly (readonly [number, number])[]): Line[] {
  const random = xoroshiro128plus(SEED);
  const lines: Line[] = [];
  for (let draw = 0; draw < DRAWS; draw++) {
    const line = theilSen(points.map(() => itemAt(points, uniformInt(random, 0, points.length - 1))));
    if (line) lines.push(line);
  }
  return lines;
}

interface Prior {
  readonly line: Line;
  readonly lines: readonly Line[];
  readonly nowDay: number;
  readonly direction: Trend['direction'];
  readonly firstDay: string;
  readonly lastDay: string;
}

function forecastOf(goal: number, { line, lines, nowDay, direction, firstDay, lastDay }: Prior): Pick<Trend, 'forecast' | 'why'> {
  const nowValue = line.at(nowDay);
  const none = (why: Sentence) => ({ forecast: null, why });
  if (goal === nowValue) return none(say`Goal reached on ${calendarDay(lastDay)}.`);
  if (direction === 'none') return none('No clear trend yet.');
  const isAhead = Math.sign(goal - nowValue) === Math.sign(line.slope);
  if (!isAhead) {
    const first = line.at(0);
    const passed = (first - goal) * (nowValue - goal) <= 0;
    return none(passed ? 'The goal is already reached.' : 'The readings move away from the goal.');
  }
  const meets = (each: Line) => nowDay + (goal - each.at(nowDay)) / each.slope;
  const reaching = lines.filter((each) => Math.sign(each.slope) === Math.sign(line.slope));
  const days = reaching.map(meets).map((day) => Math.max(nowDay, day));
  const day = meets(line);
  if (day - nowDay > FURTHEST_DAYS) return none('At this rate the goal is more than a year away: too far to predict.');
  const share = reaching.length / lines.length;
  const onDay = (at: number) => addDays(firstDay, Math.round(at));
  const late = share >= 1 - TAIL ? quantile(days, Math.min(1, (1 - TAIL) / share)) : Infinity;
  const forecast = {
    onDay: onDay(day),
    fromDay: onDay(quantile(days, TAIL)),
    toDay: late - nowDay > FURTHEST_DAYS * 2 ? null : onDay(late),
  };
  return { forecast, why: null };
}
