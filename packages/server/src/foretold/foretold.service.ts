import type { ForetoldAnswer } from '@clay-pot/contracts';
import { Injectable } from '@nestjs/common';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { LEVELS_PAST_DAYS } from '../levels/levels.service.js';
import { own } from '../library/library.service.js';
import { MethodRow } from '../methods/method.entity.js';
import { MovementRow } from '../movements/movement.entity.js';
import { PersonsService } from '../persons/persons.service.js';
import { ledSessions } from '../sessions/led-sessions.js';
import { HeavyWork } from '../work/heavy-work.js';

/** Holds what came of an athlete’s sessions against what was to be expected before them. */
@Injectable()
export class ForetoldService {
  constructor(
    private readonly clock: Clock,
    private readonly persons: PersonsService,
    private readonly work: HeavyWork,
  ) {}

  /** @throws 404 */
  async of(scope: StudioScope, athleteId: string): Promise<ForetoldAnswer> {
    const { person, tested } = await this.persons.tested(scope, athleteId);
    const [sessions, ownMovements, ownMethods] = await Promise.all([
      ledSessions(scope, athleteId, this.clock.now(), LEVELS_PAST_DAYS),
      scope.of(MovementRow).find(),
      scope.of(MethodRow).find(),
    ]);
    return this.work.run('answerForetold', {
      ownMovements: ownMovements.map(own),
      ownMethods: ownMethods.map(own),
      ...{ person, tested, sessions },
    });
  }
}
