import { GradesInput } from '@clay-pot/contracts';
import type { Grade } from '@clay-pot/core';
import { Body, Controller, Get, Put } from '@nestjs/common';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { GradesService } from './grades.service.js';

/** Springs and bands that the studio owns, by name and force. */
@Controller('grades')
export class GradesController {
  constructor(private readonly grades: GradesService) {}

  @Get()
  list(@Studio() scope: StudioScope): Promise<Grade[]> {
    return this.grades.list(scope);
  }

  @Put()
  put(@Studio() scope: StudioScope, @Body() { grades }: GradesInput): Promise<Grade[]> {
    return this.grades.put(scope, grades);
  }
}
