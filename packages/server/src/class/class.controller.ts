import type { ClassRow } from '@clay-pot/contracts';
import { Controller, Get } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { HoldsWhileUnchanged } from '../http/unchanged.interceptor.js';
import { OverviewService } from '../overview/overview.service.js';

/** All athletes side by side, who needs a look first. */
@Controller('class')
export class ClassController {
  constructor(private readonly overviews: OverviewService) {}

  @Get()
  @HoldsWhileUnchanged()
  @ApiOperation({ summary: 'All athletes with their latest readings, most urgent first, with reasons.' })
  async table(@Studio() scope: StudioScope): Promise<ClassRow[]> {
    return (await this.overviews.ofStudio(scope)).map(({ row }) => row);
  }
}
