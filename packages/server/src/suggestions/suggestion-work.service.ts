import type { SuggestionsAnswer } from '@clay-pot/core/answers';
import { cautionsOn, nextAfter } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { replacedBy } from './own-versions.js';
import { SuggestionAnswerRow } from './suggestion.entities.js';
import { subDays } from 'date-fns';
import { In, IsNull, MoreThanOrEqual } from 'typeorm';
import { AssignmentRow } from '../assignments/assignment.entity.js';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { Clock, dayIn } from '../http/clock.js';
import { LEVELS_PAST_DAYS } from '../levels/levels.service.js';
import { gradesOf, ownOf } from '../library/library.service.js';
import { TELLS, subjectWork } from '../persons/subject-work.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { ReadingsService } from '../readings/readings.service.js';
import { SequenceRow } from '../sequences/sequence.entity.js';
import { ledSessions } from '../sessions/led-sessions.js';
import { HeavyWork } from '../work/heavy-work.js';

/** Finds an athlete’s suggestions from all that is recorded, beside the event loop. */
@Injectable()
export class SuggestionWorkService {
  constructor(
    private readonly clock: Clock,
    private readonly readings: ReadingsService,
    private readonly work: HeavyWork,
  ) {}

  /** @throws 404 */
  async find(scope: StudioScope, athleteId: string, { background = false } = {}): Promise<SuggestionsAnswer> {
    const now = this.clock.now();
    const today = dayIn(scope.timeZone, now);
    const row = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const [led, programmes, assignments, readings, { movements, methods }, answers, grades] = await Promise.all([
      ledSessions(scope, athleteId, now, Math.max(LEVELS_PAST_DAYS, TELLS.days)),
      scope.of(ProgrammeRow).find({ where: { athleteId, removedAt: IsNull(), lastDay: MoreThanOrEqual(today) } }),
      scope.of(AssignmentRow).find({ where: { athleteId } }),
      this.readings.list(scope, athleteId),
      ownOf(scope),
      scope.of(SuggestionAnswerRow).find({ where: { athleteId }, order: { at: 'ASC', id: 'ASC' } }),
      gradesOf(scope),
    ]);
    const since = subDays(now, LEVELS_PAST_DAYS).toISOString();
    const ahead = [...programmes.flatMap(({ document }) => document.plans), ...assignments].map(({ sequenceId }) => sequenceId);
    const sequences = await scope.of(SequenceRow).find({ where: { id: In(ahead), removedAt: IsNull() } });
    const documentOf = new Map(sequences.map(({ id, document }) => [id, document]));
    const question = {
      ownMovements: movements,
      ownMethods: methods,
      sessions: led.filter(({ startedAt }) => startedAt > since),
      programmes: programmes.map(({ id, document }) => ({
        id,
        programme: document,
        sequences: document.plans.flatMap((plan) => {
          const sequence = documentOf.get(plan.sequenceId);
          return sequence ? [[plan.id, sequence] as const] : [];
        }),
      })),
      assigned: assignments.flatMap((assignment) => {
        const next = nextAfter(today, [assignment]);
        const sequence = documentOf.get(assignment.sequenceId);
        return next && sequence ? [{ sequenceId: assignment.sequenceId, sequence, day: next.day }] : [];
      }),
      replacedBy: replacedBy(answers),
      subject: { ...subjectWork({ record: row, readings, today }, led, now), grades },
      athlete: { cautions: cautionsOn(row, today), equipment: row.equipment, leftOut: row.leftOut },
      measuredOn: readings.at(-1)?.onDay ?? null,
      now: now.toISOString(),
      today,
    };
    return this.work.run('answerSuggestions', question, { background });
  }
}
