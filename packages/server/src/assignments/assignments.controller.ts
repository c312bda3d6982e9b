import { ASSIGNMENT_INPUT, type AssignmentInput, type AssignmentItem } from '@clay-pot/contracts';
import { Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Input } from '../http/input.js';
import { IdPipe } from '../http/id.pipe.js';
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
  put(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Input('AssignmentInput', ASSIGNMENT_INPUT) body: AssignmentInput,
  ): Promise<AssignmentItem> {
    return this.assignments.put(scope, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Studio() scope: StudioScope, @Param('id', IdPipe) id: string): Promise<void> {
    return this.assignments.remove(scope, id);
  }
}
