import { ById, type LevelItem } from '@clay-pot/contracts';
import { Controller, Get, Param } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { LevelsService } from './levels.service.js';

/** Levels, gates and what comes next. */
@Controller('athletes/:id/levels')
export class LevelsController {
  constructor(private readonly levels: LevelsService) {}

  @Get()
  @ApiOperation({
    summary: 'Each hand’s level for every movement of the last twelve weeks: gate, streak, next step and the sessions behind it.',
  })
  list(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<LevelItem[]> {
    return this.levels.of(scope, id);
  }
}
