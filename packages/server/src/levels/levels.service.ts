import type { LevelItem } from '@clay-pot/contracts';
import { cautionsOn, gateWords, type LevelStanding, standingsOf } from '@clay-pot/core';
import { methodOf } from '@clay-pot/core/library';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { LibraryService } from '../library/library.service.js';
import { ledSessions } from '../sessions/led-sessions.js';

/** Twelve weeks tell where somebody stands; what was longer ago begins anew. */
export const LEVELS_PAST_DAYS = 84;
/** So much of the evidence is sent with a standing. */
const SHOWN = 8;

/** Where an athlete’s hands stand on the ladders. */
@Injectable()
export class LevelsService {
  constructor(
    private readonly library: LibraryService,
    private readonly clock: Clock,
  ) {}

  /** As the API tells it. @throws 404 */
  async of(scope: StudioScope, athleteId: string): Promise<LevelItem[]> {
    return (await this.standings(scope, athleteId)).map(itemOf);
  }

  /** What was done last first. @throws 404 */
  async standings(scope: StudioScope, athleteId: string): Promise<LevelStanding[]> {
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const now = this.clock.now();
    const today = dayIn(scope.timeZone, now);
    const [known, sessions] = await Promise.all([
      this.library.of(scope),
      ledSessions(scope, athleteId, now, LEVELS_PAST_DAYS),
    ]);
    return standingsOf(sessions, {
      lookup: known.movement,
      methodOf: (plan) => methodOf(plan, known.method),
      cautions: cautionsOn(athlete, today),
      today,
    });
  }
}

function itemOf({ movementId, hand, levelId, gate, streak, step, why, history }: LevelStanding): LevelItem {
  const shown = history.toReversed().slice(0, SHOWN);
  return {
    ...{ movementId, hand, levelId, gate, streak, step, why },
    gateWords: gate && gateWords(gate),
    history: shown.map(({ movementId: _movement, hand: _hand, morning: _morning, ...done }) => done),
  };
}
