import { AssignmentInput, type AssignmentItem, ById } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { AssignmentsService } from './assignments.service.js';

/** Sequences that were given to athletes. */
@Controller('assignments')
export class AssignmentsController {
  constructor(private readonly assignments: AssignmentsService) {}

  @Get()
  list(@Studio() scope: StudioScope): Promise<AssignmentItem[]> {
    return this.assignments.list(scope);
  }

  @Put(':id')
  put(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: AssignmentInput): Promise<AssignmentItem> {
    return this.assignments.put(scope, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<void> {
    return this.assignments.remove(scope, id);
  }
}
