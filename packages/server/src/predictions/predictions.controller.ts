import { ById, type PredictionsAnswer } from '@clay-pot/contracts';
import { Controller, Get, Param } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { PredictionsService } from './predictions.service.js';

/** What was to be expected of sessions, beside what came. */
@Controller('athletes/:id/predictions')
export class PredictionsController {
  constructor(private readonly predictions: PredictionsService) {}

  @Get()
  @ApiOperation({
    summary:
      'Of each block of the last twelve weeks: the exertion and the chance of carrying it to its end that were to be expected by what was known the day before, beside what came.',
  })
  get(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<PredictionsAnswer> {
    return this.predictions.of(scope, id);
  }
}
