import { ById, type ForetoldAnswer } from '@clay-pot/contracts';
import { Controller, Get, Param } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { ForetoldService } from './foretold.service.js';

/** What was to be expected of sessions, beside what came. */
@Controller('athletes/:id/foretold')
export class ForetoldController {
  constructor(private readonly foretold: ForetoldService) {}

  @Get()
  @ApiOperation({
    summary:
      'Of each block of the last twelve weeks: the exertion and the chance of carrying it to its end that were to be expected by what was known the day before, beside what came.',
  })
  get(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<ForetoldAnswer> {
    return this.foretold.of(scope, id);
  }
}
