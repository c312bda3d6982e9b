import type { LevelItem } from '@clay-pot/contracts';
import type { ForecastQuestion } from '@clay-pot/core/answers';
import {
  cautionsOn,
  findLevel,
  type GateForecast,
  gateWords,
  goalGate,
  type LevelStanding,
  must,
  personOf,
  standingsOf,
} from '@clay-pot/core';
import { methodOf, shippedGoal } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { IsNull, MoreThanOrEqual } from 'typeorm';
import { LibraryService } from '../library/library.service.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { HeavyWork } from '../work/heavy-work.js';
import { ledSessions } from '../sessions/led-sessions.js';

/** Twelve weeks decide the level; after a longer break it starts over. */
export const LEVELS_PAST_DAYS = 84;
/** So much of the evidence is sent with a standing. */
const SHOWN = 8;

/** Where an athlete’s hands stand on the ladders. */
@Injectable()
export class LevelsService {
  constructor(
    private readonly library: LibraryService,
    private readonly clock: Clock,
    private readonly work: HeavyWork,
  ) {}

  /** Where hands stand, what was done last first. @throws 404 */
  async standings(scope: StudioScope, athleteId: string): Promise<LevelStanding[]> {
    return (await this.levelsContext(scope, athleteId)).standings;
  }

  /** As the API tells it, with when each gate is likely passed. @throws 404 */
  async of(scope: StudioScope, athleteId: string): Promise<LevelItem[]> {
    const { athlete, known: library, sessions, standings, today } = await this.levelsContext(scope, athleteId);
    const programmes = await scope.of(ProgrammeRow).find({ where: { athleteId, removedAt: IsNull(), lastDay: MoreThanOrEqual(today) } });
    const goals = programmes.flatMap(({ document }) => shippedGoal(document.goalId ?? '') ?? []);
    const { person } = personOf(athlete, [], today);
    const planOf = new Map(sessions.map(({ id, plan }) => [id, plan]));
    const levels = standings.map((standing) => {
      const movement = must(library.movement(standing.movementId), 'the movement of a standing');
      const plan = must(planOf.get(standing.last.sessionId), 'the session of a standing');
      const ask = { history: standing.history, movement, method: methodOf(plan, library.method), today };
      const isCounted = standing.gate !== null && findLevel(movement, standing.levelId)?.loading !== 'unloaded';
      const found = goals.map((goal) => goalGate(goal, movement, person)).find((gate) => gate !== null);
      return {
        standing,
        own: isCounted ? { ...ask, levelId: standing.levelId } : null,
        goal: found ? { gate: found, ask: { ...ask, levelId: found.level.id } } : null,
      };
    });
    const owns = await this.forecasts(levels.map(({ own }) => own));
    const goalForecasts = await this.forecasts(levels.map(({ goal }) => goal && goal.ask));
    return levels.map(({ standing, goal }, index) => {
      const forecast = goalForecasts[index];
      const words = goal && forecast && { words: goal.gate.want.words, levelName: goal.gate.level.name, forecast };
      return itemOf(standing, owns[index] ?? null, words ?? null);
    });
  }

  /** No thread is started where nothing is asked. */
  private forecasts(questions: readonly (ForecastQuestion | null)[]): Promise<(GateForecast | null)[]> {
    return questions.some((each) => each !== null) ? this.work.run('answerForecasts', questions) : Promise.resolve([]);
  }

  private async levelsContext(scope: StudioScope, athleteId: string) {
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const now = this.clock.now();
    const today = dayIn(scope.timeZone, now);
    const [library, sessions] = await Promise.all([this.library.of(scope), ledSessions(scope, athleteId, now, LEVELS_PAST_DAYS)]);
    const standings = standingsOf(sessions, {
      lookup: library.movement,
      methodOf: (plan) => methodOf(plan, library.method),
      cautions: cautionsOn(athlete, today),
      today,
    });
    return { athlete, known: library, sessions, standings, today };
  }
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
