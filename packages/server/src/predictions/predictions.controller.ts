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
    summary: 'For each block of the last twelve weeks: predicted effort (RPE) and chance of completion, next to the results.',
  })
  get(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<PredictionsAnswer> {
    return this.predictions.of(scope, id);
  }
}
