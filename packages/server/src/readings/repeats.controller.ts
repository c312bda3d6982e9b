import type { RepeatsAnswer } from '@clay-pot/contracts';
import { Controller, Get } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { HoldsWhileUnchanged } from '../http/unchanged.interceptor.js';
import { ReadingsService } from './readings.service.js';

/** How far the studio’s own readings are off. */
@Controller('repeats')
export class RepeatsController {
  constructor(private readonly readings: ReadingsService) {}

  @Get()
  @HoldsWhileUnchanged()
  @ApiOperation({
    summary: 'The studio’s repeat readings, pooled over its athletes, as the basis for error and real change.',
  })
  list(@Studio() scope: StudioScope): Promise<RepeatsAnswer[]> {
    return this.readings.repeats(scope);
  }
}
