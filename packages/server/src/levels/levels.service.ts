import type { LevelItem } from '@clay-pot/contracts';
import type { LevelsAnswer } from '@clay-pot/core/answers';
import { cautionsOn } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { IsNull, MoreThanOrEqual } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { KeptAnswersService } from '../kept/kept-answers.service.js';
import { libraryDataOf } from '../library/library.service.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { ledSessions } from '../sessions/led-sessions.js';
import { HeavyWork } from '../work/heavy-work.js';

/** Twelve weeks decide the level; after a longer break it starts over. */
export const LEVELS_PAST_DAYS = 84;

/** Where an athlete’s hands stand on the ladders: computed beside the event loop, and kept while it holds. */
@Injectable()
export class LevelsService {
  constructor(
    private readonly clock: Clock,
    private readonly kept: KeptAnswersService,
    private readonly work: HeavyWork,
  ) {}

  /** Where hands stand, what was done last first. @throws 404 */
  async standings(scope: StudioScope, athleteId: string): Promise<LevelsAnswer['standings']> {
    return (await this.current(scope, athleteId)).standings;
  }

  /** As the API tells it, with when each gate is likely passed. @throws 404 */
  async of(scope: StudioScope, athleteId: string): Promise<LevelItem[]> {
    return (await this.current(scope, athleteId)).items;
  }

  private current(scope: StudioScope, athleteId: string): Promise<LevelsAnswer> {
    return this.kept.of(scope, athleteId, 'levels', () => this.found(scope, athleteId));
  }

  private async found(scope: StudioScope, athleteId: string): Promise<LevelsAnswer> {
    const athlete = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const now = this.clock.now();
    const today = dayIn(scope.timeZone, now);
    const [library, sessions, programmes] = await Promise.all([
      libraryDataOf(scope),
      ledSessions(scope, athleteId, now, LEVELS_PAST_DAYS),
      scope.of(ProgrammeRow).find({ where: { athleteId, removedAt: IsNull(), lastDay: MoreThanOrEqual(today) } }),
    ]);
    const { sex, statureCm, massKg, birthDate } = athlete;
    return this.work.run('answerLevels', {
      library,
      record: { sex, statureCm, massKg, birthDate },
      cautions: cautionsOn(athlete, today),
      sessions,
      goalIds: programmes.flatMap(({ document }) => document.goalId ?? []),
      today,
    });
  }
}
