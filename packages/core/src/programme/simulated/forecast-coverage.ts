import { referencePerson } from '../../mechanics/person.js';
import { REFERENCE_BODIES } from '../../model/body.js';
import type { Method } from '../../model/method.js';
import type { Movement } from '../../model/movement.js';
import { gateForecast } from '../../rules/progress/gate-forecast.js';
import { heightOf } from '../../rules/progress/gate-height.js';
import { daysBetween } from '../../vocabulary/days.js';
import { itemAt, lastOf } from '../../vocabulary/lists.js';
import { drawnAthlete } from './athlete.js';
import { chanceOf } from './chance.js';
import { simulatedSessions } from './course.js';
import { SIMULATED_KINDS, type SimulatedKind } from './kinds.js';
import { simulatedLevels } from './simulated-levels.js';

/** How often predictions came true. */
export interface Coverage {
  /** Predictions that named days, and times at which none was made. */
  readonly predicted: number;
  readonly unknown: number;
  /** Of those with days: passed between them, before, and after or never. */
  readonly within: number;
  readonly before: number;
  readonly after: number;
  /** Days between the first and the last day of a prediction, on average. */
  readonly widthDays: number;
}

/** What is asked: for how many people of a kind, of this level’s gate or the next one’s. */
export interface CoverageQuestion {
  readonly movement: Movement;
  readonly method: Method;
  readonly kind: SimulatedKind;
  /** 0 for the level that somebody is at, 1 for the next. */
  readonly levelsAhead: 0 | 1;
  readonly people: number;
  readonly seed: number;
  readonly sessionsPerWeek: number;
}

/** So long courses are, and in which weeks somebody asks. */
const [WEEKS, ASKED_FROM, ASKED_TO] = [78, 3, 16];

/** Predicts gates of people who do not exist at a chance moment of their course, and looks at when they really pass them. */
export function forecastCoverage({ movement, method, kind, levelsAhead, people, seed, sessionsPerWeek }: CoverageQuestion): Coverage {
  const levels = simulatedLevels(movement, referencePerson(REFERENCE_BODIES['not stated'], '2026-01-05'));
  const counts = { predicted: 0, unknown: 0, within: 0, before: 0, after: 0 };
  let widths = 0;
  for (let number = 0; number < people; number++) {
    const chance = chanceOf(seed + 7919 * number);
    const who = SIMULATED_KINDS[kind](drawnAthlete(chance));
    const rules = { method, weeks: WEEKS, sessionsPerWeek, easierEvery: number % 2 === 0 ? 4 : 0 };
    const sessions = [...simulatedSessions(movement, levels, rules, who, chance)].map(({ done }) => done);
    const week = ASKED_FROM + Math.floor(chance.even() * (ASKED_TO - ASKED_FROM));
    const first = itemAt(sessions, 0).onDay;
    const cut = sessions.findIndex(({ onDay }) => daysBetween(first, onDay) >= 7 * week);
    const history = sessions.slice(0, cut);
    if (cut < 1) continue;
    const today = itemAt(sessions, cut).onDay;
    const at = movement.ladder.findIndex(({ id }) => id === lastOf(history).levelId) + levelsAhead;
    const level = movement.ladder[at];
    if (!level || !levels.some((each) => each.level.id === level.id)) continue;
    const { fromDay, toDay } = gateForecast(history, { movement, method, levelId: level.id, today });
    if (fromDay === null || toDay === null) {
      counts.unknown++;
      continue;
    }
    const passed = sessions.slice(cut).find((done) => heightOf(movement, done, method) >= at + 1 - 1e-9)?.onDay;
    counts.predicted++;
    widths += daysBetween(fromDay, toDay);
    if (passed === undefined || passed > toDay) counts.after++;
    else if (passed < fromDay) counts.before++;
    else counts.within++;
  }
  return { ...counts, widthDays: widths / Math.max(1, counts.predicted) };
}
