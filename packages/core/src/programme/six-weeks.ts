import { mean } from 'simple-statistics';
import type { PastSession } from '../effort/past.js';
import { dayByDay, keyOfThing, type MeasuredThing, pooledRepeats, type Repeats, thingsIn } from '../measure/readings-over-time.js';
import type { RecordedCaution } from '../model/athlete.js';
import type { MovementLookup } from '../model/movement.js';
import type { Reading } from '../model/reading.js';
import { cautionLabel } from '../rules/safety/cautions.js';
import { addDays, daysBetween } from '../vocabulary/days.js';
import { type Hand, HANDS } from '../vocabulary/hands.js';
import type { SideGroup } from '../vocabulary/muscles.js';

/** So many weeks are looked back on. */
export const CHANGE_WEEKS = 6;
const HALF = CHANGE_WEEKS / 2;
const DAYS = 7;
/** From this discomfort on a session hurt. */
const SORE_FROM = 5;
/** A first reading may lie so many days before the six weeks: who was tested the week before is compared with that. */
const BEFORE_DAYS = 28;

/** What a session says of how it felt. */
export interface FeltSession {
  readonly onDay: string;
  /** The highest that was reported; null without a report. */
  readonly maxDiscomfort: number | null;
}

/** What six weeks are told from. */
export interface SixWeeksQuestion {
  readonly past: readonly PastSession[];
  readonly felt: readonly FeltSession[];
  readonly readings: readonly Reading[];
  readonly repeats?: readonly Repeats[] | undefined;
  readonly cautions: readonly RecordedCaution[];
  readonly lookup: MovementLookup;
  /** ISO day. */
  readonly today: string;
}

/** A movement that is done at another level now than at first. */
export interface LevelChange {
  movementId: string;
  from: string;
  to: string;
  /** Rungs up the ladder; negative downward. */
  by: number;
}

/** Something that was tested at first and again later. */
export interface TestChange extends Required<MeasuredThing> {
  hand: Hand;
  before: { onDay: string; value: number };
  after: { onDay: string; value: number };
  /** Whether it is more than the error of the two readings. */
  isReal: boolean;
}

/** What changed in six weeks: what was done, what it came to, how it felt, levels, tests, restrictions. */
export interface SixWeeks {
  /** Sessions of each week, the one that ends today the last. */
  sessions: number[];
  /** Mean of a week’s load, all groups together, in holds to failure: of the first three weeks and of the last three. */
  load: { first: number; last: number };
  /** Mean of the highest discomfort of each session, in either half; null without reports. */
  discomfort: { first: number | null; last: number | null; sore: number };
  levels: LevelChange[];
  tests: TestChange[];
  restrictions: { begun: string[]; cleared: string[] };
}

/** What changed for somebody in the last six weeks, this one counted. */
export function sixWeeks(question: SixWeeksQuestion): SixWeeks {
  const { today, past, felt, cautions } = question;
  const from = firstDay(today);
  const weekOf = (day: string) => Math.floor(daysBetween(from, day) / DAYS);
  const within = <T extends { readonly onDay: string }>(all: readonly T[]) => all.filter(({ onDay }) => onDay >= from && onDay <= today);
  const halves = <T extends { readonly onDay: string }>(all: readonly T[]) =>
    [within(all).filter(({ onDay }) => weekOf(onDay) < HALF), within(all).filter(({ onDay }) => weekOf(onDay) >= HALF)] as const;
  const [loadFirst, loadLast] = halves(past).map((some) => some.reduce((sum, { doses }) => sum + total(doses), 0) / HALF);
  const rated = (some: readonly FeltSession[]) => meanOrNull(some.flatMap(({ maxDiscomfort }) => maxDiscomfort ?? []));
  const [feltFirst, feltLast] = halves(felt);
  return {
    sessions: Array.from({ length: CHANGE_WEEKS }, (_, week) => within(felt).filter(({ onDay }) => weekOf(onDay) === week).length),
    load: { first: loadFirst ?? 0, last: loadLast ?? 0 },
    discomfort: {
      first: rated(feltFirst),
      last: rated(feltLast),
      sore: within(felt).filter(({ maxDiscomfort }) => (maxDiscomfort ?? 0) >= SORE_FROM).length,
    },
    levels: levelChanges(within(past), question.lookup),
    tests: testChanges(question, from),
    restrictions: {
      begun: cautions.filter(({ since }) => since !== undefined && since >= from).map(cautionLabel),
      cleared: cautions.filter(({ clearedOn }) => clearedOn !== undefined && clearedOn >= from).map(cautionLabel),
    },
  };
}

/** The first of the days that are looked back on: whole weeks that end today, so that none is half done. @example firstDay('2026-06-10') → '2026-04-30' */
export const firstDay = (today: string): string => addDays(today, 1 - DAYS * CHANGE_WEEKS);

const total = (doses: Partial<Record<SideGroup, number>>): number => Object.values(doses).reduce((sum, dose) => sum + dose, 0);
const meanOrNull = (values: readonly number[]): number | null => (values.length > 0 ? mean([...values]) : null);

/** Movements whose last level is another than their first, the highest step first. @param past oldest first */
function levelChanges(past: readonly PastSession[], lookup: MovementLookup): LevelChange[] {
  const forms = past.flatMap((session) => session.forms);
  const ids = [...new Set(forms.map(({ movementId }) => movementId))];
  return ids
    .flatMap((movementId): LevelChange[] => {
      const ladder = lookup(movementId)?.ladder ?? [];
      const mine = forms.filter((form) => form.movementId === movementId);
      const [first, last] = [mine[0], mine.at(-1)].map((form) => ladder.findIndex(({ id }) => id === form?.levelId));
      if (first === undefined || last === undefined || first < 0 || last < 0 || first === last) return [];
      return [{ movementId, from: ladder[first]?.name ?? '', to: ladder[last]?.name ?? '', by: last - first }];
    })
    .sort((a, b) => b.by - a.by);
}

/** What was tested at least twice, of which the last time within the weeks; what really changed first. */
function testChanges({ readings, repeats, today }: SixWeeksQuestion, from: string): TestChange[] {
  const since = addDays(from, -BEFORE_DAYS);
  const mine = readings.filter(({ onDay }) => onDay >= since && onDay <= today);
  return thingsIn(mine)
    .flatMap((thing) =>
      HANDS.flatMap((hand): TestChange[] => {
        const days = dayByDay(mine, thing, hand, pooledRepeats(repeats, mine, thing));
        const [before, after] = [days[0], days.at(-1)];
        if (!before || !after || before === after || after.onDay < from) return [];
        const { isReal, ...last } = after;
        return [{ ...thing, hand, before: { onDay: before.onDay, value: before.value }, after: last, isReal }];
      }),
    )
    .sort((a, b) => Number(b.isReal) - Number(a.isReal) || keyOfThing(a).localeCompare(keyOfThing(b)));
}
