import { AssignmentInput, type AssignmentItem, AssignmentsQuery, ById } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import type { PageOf } from '../database/paging.js';
import { ListPage } from '../http/list-page.js';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { AssignmentsService } from './assignments.service.js';

/** Sequences that were given to athletes. */
@Controller('assignments')
export class AssignmentsController {
  constructor(private readonly assignments: AssignmentsService) {}

  @Get()
  @ListPage()
  list(@Studio() scope: StudioScope, @Query() query: AssignmentsQuery): Promise<PageOf<AssignmentItem>> {
    return this.assignments.list(scope, query);
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
