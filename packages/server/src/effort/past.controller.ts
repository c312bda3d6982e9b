import { ById, PAST_DAYS, PastQuery } from '@clay-pot/contracts';
import type { PastSession } from '@clay-pot/core';
import { Controller, Get, Param, Query } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Clock } from '../http/clock.js';
import { PersonsService } from '../persons/persons.service.js';
import { PastService } from './past.service.js';

/** What somebody did of late, as the checks look back on it. */
@Controller('athletes/:id/past')
export class PastController {
  constructor(
    private readonly past: PastService,
    private readonly persons: PersonsService,
    private readonly clock: Clock,
  ) {}

  @Get()
  @ApiOperation({ summary: 'Totals of an athlete’s recent sessions: doses, hands, hard-working groups.' })
  async list(@Studio() scope: StudioScope, @Param() { id }: ById, @Query() { days = PAST_DAYS.usual }: PastQuery): Promise<PastSession[]> {
    const { person } = await this.persons.subjectOf(scope, { athleteId: id });
    return this.past.of(scope, id, person, this.clock.now(), days);
  }
}
