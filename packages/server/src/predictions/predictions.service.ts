import type { PredictionsAnswer } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { KeptAnswersService } from '../kept/kept-answers.service.js';
import { LEVELS_PAST_DAYS } from '../levels/levels.service.js';
import { ownOf } from '../library/library.service.js';
import { ReadingsService } from '../readings/readings.service.js';
import { ledSessions } from '../sessions/led-sessions.js';
import { HeavyWork } from '../work/heavy-work.js';

/** Holds what came of an athlete’s sessions against what was to be expected before them. */
@Injectable()
export class PredictionsService {
  constructor(
    private readonly clock: Clock,
    private readonly readings: ReadingsService,
    private readonly kept: KeptAnswersService,
    private readonly work: HeavyWork,
  ) {}

  /** @throws 404 */
  of(scope: StudioScope, athleteId: string): Promise<PredictionsAnswer> {
    return this.kept.of(scope, athleteId, 'predictions', () => this.found(scope, athleteId));
  }

  private async found(scope: StudioScope, athleteId: string): Promise<PredictionsAnswer> {
    const now = this.clock.now();
    const [{ sex, statureCm, massKg, birthDate }, readings, sessions, { movements, methods }] = await Promise.all([
      scope.of(AthleteRow).get(athleteId, 'athlete'),
      this.readings.list(scope, athleteId),
      ledSessions(scope, athleteId, now, LEVELS_PAST_DAYS),
      ownOf(scope),
    ]);
    const subject = { record: { sex, statureCm, massKg, birthDate }, readings, sessions: [], today: dayIn(scope.timeZone, now) };
    return this.work.run('answerPredictions', { ownMovements: movements, ownMethods: methods, subject: subject, sessions });
  }
}
