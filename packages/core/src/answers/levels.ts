import { shippedGoal } from '../library/goals.js';
import { type LibraryData, libraryWith, methodOf } from '../library/index.js';
import { personOf } from '../mechanics/person.js';
import type { BodyRecord } from '../model/body.js';
import type { Gate } from '../rules/progress/gates.js';
import type { Step } from '../rules/progress/level-standing.js';
import { goalGate } from '../programme/goal-gate.js';
import { findLevel } from '../model/movement.js';
import { type GateForecast, gateForecast } from '../rules/progress/gate-forecast.js';
import { gateWords } from '../rules/progress/gates.js';
import type { LevelStanding } from '../rules/progress/level-standing.js';
import { standingsOf } from '../rules/progress/standings.js';
import type { LedSession, WorkDone } from '../rules/progress/work-done.js';
import type { Hand } from '../vocabulary/hands.js';
import { must } from '../vocabulary/lists.js';
import type { Sentence } from '../vocabulary/sentence.js';

/** One session of a movement, as it counted for its gate. */
export type LevelDone = Omit<WorkDone, 'movementId' | 'hand' | 'morning'>;

/** The level of each hand in a movement, what comes next, and the evidence for it. */
export interface LevelItem {
  movementId: string;
  hand: Hand;
  levelId: string;
  gate: Gate | null;
  gateWords: string | null;
  streak: number;
  step: Step;
  why: Sentence;
  /** When the gate of this level is likely passed; null where nothing is counted upward: what loads nothing, and what knows no gate. */
  forecast: GateForecast | null;
  /** When the level is likely passed that a running programme’s goal asks for; null where the goal asks nothing of this movement. */
  goal: { words: string; levelName: string; forecast: GateForecast } | null;
  /** The newest first. */
  history: LevelDone[];
}

/** Everything that levels are found by, as plain data: for a thread of its own. */
export interface LevelsWork {
  readonly library: LibraryData;
  readonly record: BodyRecord & { readonly birthDate: string | null };
  readonly cautions: Parameters<typeof standingsOf>[1]['cautions'];
  /** Oldest first. */
  readonly sessions: readonly LedSession[];
  /** Of the programmes that run. */
  readonly goalIds: readonly string[];
  readonly today: string;
}

/** Where hands stand: as the API tells it, and as other questions take it. */
export interface LevelsAnswer {
  items: LevelItem[];
  standings: Pick<LevelStanding, 'movementId' | 'levelId' | 'step' | 'last'>[];
}

/** So much of the evidence is sent with a standing. */
const SHOWN = 8;

/** Finds levels with when each gate is likely passed, away from the event loop: each forecast is some thousand courses. */
export function answerLevels({ library: data, record, cautions, sessions, goalIds, today }: LevelsWork): LevelsAnswer {
  const library = libraryWith(data.movements, data.methods);
  const standings = standingsOf(sessions, {
    lookup: library.movement,
    methodOf: (plan) => methodOf(plan, library.method),
    cautions,
    today,
  });
  const goals = goalIds.flatMap((id) => shippedGoal(id) ?? []);
  const { person } = personOf(record, [], today);
  const planOf = new Map(sessions.map(({ id, plan }) => [id, plan]));
  const forecastOf = oncePerHistory();
  const items = standings.map((standing) => {
    const movement = must(library.movement(standing.movementId), 'the movement of a standing');
    const plan = must(planOf.get(standing.last.sessionId), 'the session of a standing');
    const forecastAt = (levelId: string): GateForecast =>
      forecastOf(standing.history, { movement, method: methodOf(plan, library.method), today, levelId });
    const isCounted = standing.gate !== null && findLevel(movement, standing.levelId)?.loading !== 'unloaded';
    const wanted = goals.map((goal) => goalGate(goal, movement, person)).find((gate) => gate !== null);
    const goal = wanted ? { words: wanted.want.words, levelName: wanted.level.name, forecast: forecastAt(wanted.level.id) } : null;
    return itemOf(standing, isCounted ? forecastAt(standing.levelId) : null, goal);
  });
  return { items, standings: standings.map(({ movementId, levelId, step, last }) => ({ movementId, levelId, step, last })) };
}

/** Forecasts, each found once: two hands that did the same have the same days before them. */
function oncePerHistory(): typeof gateForecast {
  const known = new Map<string, GateForecast>();
  return (history, question) => {
    const done = history.map(({ hand: _hand, ...each }) => each);
    const key = JSON.stringify([question.levelId, question.method.id, done]);
    const forecast = known.get(key) ?? gateForecast(history, question);
    known.set(key, forecast);
    return forecast;
  };
}

function itemOf(
  { movementId, hand, levelId, gate, streak, step, why, history }: LevelStanding,
  forecast: GateForecast | null,
  goal: LevelItem['goal'],
): LevelItem {
  const shown = history.toReversed().slice(0, SHOWN);
  return {
    ...{ movementId, hand, levelId, gate, streak, step, why, forecast, goal },
    gateWords: gate && gateWords(gate),
    history: shown.map(({ movementId: _movement, hand: _hand, morning: _morning, ...done }) => done),
  };
}
