import type { ClassRow } from '@clay-pot/contracts';
import { Controller, Get } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { ClassService } from './class.service.js';

/** All athletes side by side, who needs a look first. */
@Controller('class')
export class ClassController {
  constructor(private readonly classes: ClassService) {}

  @Get()
  @ApiOperation({ summary: 'All athletes with their latest readings, most urgent first, with reasons.' })
  table(@Studio() scope: StudioScope): Promise<ClassRow[]> {
    return this.classes.table(scope);
  }
}
