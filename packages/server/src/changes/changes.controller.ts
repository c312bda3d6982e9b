import { ById, type Changes } from '@clay-pot/contracts';
import { Controller, Get, Param } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { ChangesService } from './changes.service.js';

/** What changed in six weeks. */
@Controller()
export class ChangesController {
  constructor(private readonly changes: ChangesService) {}

  @Get('athletes/:id/changes')
  @ApiOperation({ summary: 'What changed for an athlete in six weeks: sessions, load, discomfort, levels, tests and restrictions.' })
  athlete(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<Changes> {
    return this.changes.ofAthlete(scope, id);
  }

  @Get('programmes/:id/changes')
  @ApiOperation({ summary: 'The same for everyone who follows a programme.' })
  group(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<Changes> {
    return this.changes.ofGroup(scope, id);
  }
}
