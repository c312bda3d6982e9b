import type { Changes, PersonChanges } from '@clay-pot/contracts';
import { cautionsOn, CHANGE_WEEKS, firstDay, sixWeeks } from '@clay-pot/core';
import { Injectable } from '@nestjs/common';
import { In, IsNull } from 'typeorm';
import { AthleteRow } from '../athletes/athlete.entity.js';
import type { StudioScope } from '../database/studio-scope.js';
import { CircumstancesService } from '../effort/circumstances.service.js';
import { Clock, dayIn } from '../http/clock.js';
import { ProgrammeCopyRow } from '../programmes/programme-copy.entity.js';
import { ProgrammeRow } from '../programmes/programme.entity.js';
import { ReadingsService } from '../readings/readings.service.js';
import { ledSessions } from '../sessions/led-sessions.js';

const DAYS = 7 * CHANGE_WEEKS;

/** What changed in six weeks: for one person, and for everyone who follows a programme. */
@Injectable()
export class ChangesService {
  constructor(
    private readonly circumstances: CircumstancesService,
    private readonly readings: ReadingsService,
    private readonly clock: Clock,
  ) {}

  /** @throws 404 */
  async ofAthlete(scope: StudioScope, athleteId: string): Promise<Changes> {
    return this.of(scope, [athleteId]);
  }

  /** Of whom a programme is, and of everyone who follows it. @throws 404 */
  async ofGroup(scope: StudioScope, programmeId: string): Promise<Changes> {
    const source = await scope.of(ProgrammeRow).get(programmeId, 'programme');
    const copies = await scope.of(ProgrammeCopyRow).find({ where: { sourceId: programmeId } });
    const rows = await scope.of(ProgrammeRow).find({
      select: { id: true, athleteId: true },
      where: { id: In(copies.map(({ id }) => id)), removedAt: IsNull() },
    });
    return this.of(scope, [...new Set([source.athleteId, ...rows.map(({ athleteId }) => athleteId)])]);
  }

  private async of(scope: StudioScope, athleteIds: readonly string[]): Promise<Changes> {
    const today = dayIn(scope.timeZone, this.clock.now());
    const people: PersonChanges[] = [];
    // One after the other: each reads weeks of sessions.
    for (const athleteId of athleteIds) people.push(await this.person(scope, athleteId, today));
    return { fromDay: firstDay(today), today, people };
  }

  private async person(scope: StudioScope, athleteId: string, today: string): Promise<PersonChanges> {
    const row = await scope.of(AthleteRow).get(athleteId, 'athlete');
    const [{ past, library }, felt, readings] = await Promise.all([
      this.circumstances.of(scope, { athleteId }, DAYS),
      ledSessions(scope, athleteId, this.clock.now(), DAYS),
      this.readings.list(scope, athleteId),
    ]);
    return {
      athleteId,
      athleteName: row.name,
      ...sixWeeks({
        past,
        felt: felt.map(({ onDay, maxDiscomfort }) => ({ onDay, maxDiscomfort })),
        readings,
        cautions: cautionsOn(row, today),
        lookup: library.movement,
        today,
      }),
    };
  }
}
