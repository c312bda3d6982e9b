import type { CallsAnswer } from '@clay-pot/core/answers';
import { cautionsOn, nextAfter } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In, IsNull, MoreThanOrEqual } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { LEVELS_PAST_DAYS } from '../levels/levels.service.js';
import { own } from '../library/library.service.js';
import { MethodRow } from '../methods/method.entity.js';
import { MovementRow } from '../movements/movement.entity.js';
import { whomWork } from '../persons/whom-work.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { ReadingsService } from '../readings/readings.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { ledSessions } from '../sessions/led-sessions.js';
import { HeavyWork } from '../work/heavy-work.js';

/** Finds an athlete’s calls from all that is recorded, beside the event loop. */
@Injectable()
export class CallWorkService {
  constructor(
    private readonly clock: Clock,
    private readonly readings: ReadingsService,
    private readonly work: HeavyWork,
  ) {}

  /** @throws 404 */
  async find(scope: StudioScope, athleteId: string): Promise<CallsAnswer> {
    const now = this.clock.now();
    const today = dayIn(scope.timeZone, now);
    const row = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const [sessions, programmes, assignments, readings, movements, methods] = await Promise.all([
      ledSessions(scope, athleteId, now, LEVELS_PAST_DAYS),
      scope.of(ProgrammeRow).find({ where: { athleteId, removedAt: IsNull(), lastDay: MoreThanOrEqual(today) } }),
      scope.of(AssignmentRow).find({ where: { athleteId } }),
      this.readings.list(scope, athleteId),
      scope.of(MovementRow).find(),
      scope.of(MethodRow).find(),
    ]);
    const planned = programmes.flatMap(({ document }) => document.plans.map(({ sequenceId }) => sequenceId));
    const sequences = await scope.of(SequenceRow).find({ where: { id: In(planned), removedAt: IsNull() } });
    const documentOf = new Map(sequences.map(({ id, document }) => [id, document]));
    return this.work.run('answerCalls', {
      ownMovements: movements.map(own),
      ownMethods: methods.map(own),
      sessions,
      programmes: programmes.map(({ id, document }) => ({
        id,
        programme: document,
        sequences: document.plans.flatMap((plan) => {
          const sequence = documentOf.get(plan.sequenceId);
          return sequence ? [[plan.id, sequence] as const] : [];
        }),
      })),
      givenOn: assignments.flatMap((assignment) => {
        const next = nextAfter(today, [assignment]);
        return next ? [[assignment.sequenceId, next.day] as const] : [];
      }),
      whom: await whomWork(scope, athleteId, { record: row, readings, today }, now),
      athlete: { cautions: cautionsOn(row, today), equipment: row.equipment },
      measuredOn: readings.at(-1)?.onDay ?? null,
      now: now.toISOString(),
      today,
    });
  }
}
