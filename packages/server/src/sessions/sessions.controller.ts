import {
  BlockReportInput,
  ById,
  ComplaintAddress,
  ComplaintInput,
  DoneSetInput,
  FormTickInput,
  HandLookInput,
  LookAddress,
  MorningInput,
  ReportAddress,
  SessionEndInput,
  SessionInput,
  SESSION_PAGE,
  type SessionPage,
  SessionsQuery,
  type SessionRecord,
  SetAddress,
  TickAddress,
} from '@clay-pot/contracts';
import { Body, Controller, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { HoldsWhileUnchanged } from '../http/unchanged.interceptor.js';
import { RunningSessions } from './running-sessions.js';
import { pageEndOf, pageOf } from './session-list.js';
import { SessionsService } from './sessions.service.js';
import { ReportsService } from './reports.service.js';

/** Sessions as they are led and recorded. */
@Controller('sessions')
export class SessionsController {
  constructor(
    private readonly sessions: SessionsService,
    private readonly reports: ReportsService,
  ) {}

  @Get()
  @HoldsWhileUnchanged({ restsOn: RunningSessions })
  list(
    @Studio() scope: StudioScope,
    @Query() { athlete, before, find, only, limit = SESSION_PAGE.usual }: SessionsQuery,
  ): Promise<SessionPage> {
    return pageOf(scope, {
      athleteId: athlete ?? null,
      before: before === undefined ? null : pageEndOf(before),
      ...{ limit, find, only },
    });
  }

  @Get(':id')
  get(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<SessionRecord> {
    return this.sessions.get(scope, id);
  }

  @Put(':id')
  begin(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: SessionInput): Promise<SessionRecord> {
    return this.sessions.begin(scope, id, body);
  }

  @Put(':id/sets/:setId')
  @HttpCode(204)
  addSet(@Studio() scope: StudioScope, @Param() { id, setId }: SetAddress, @Body() body: DoneSetInput): Promise<void> {
    return this.reports.addSet(scope, id, setId, body);
  }

  @Put(':id/reports/:reportId')
  @HttpCode(204)
  addReport(@Studio() scope: StudioScope, @Param() { id, reportId }: ReportAddress, @Body() body: BlockReportInput): Promise<void> {
    return this.reports.addReport(scope, id, reportId, body);
  }

  @Put(':id/looks/:lookId')
  @HttpCode(204)
  addLook(@Studio() scope: StudioScope, @Param() { id, lookId }: LookAddress, @Body() body: HandLookInput): Promise<void> {
    return this.reports.addLook(scope, id, lookId, body);
  }

  @Put(':id/form/:tickId')
  @HttpCode(204)
  @ApiOperation({
    summary: 'A form fault ticked during the session. Gates require none. The latest tick of a fault counts.',
  })
  addForm(@Studio() scope: StudioScope, @Param() { id, tickId }: TickAddress, @Body() body: FormTickInput): Promise<void> {
    return this.reports.addForm(scope, id, tickId, body);
  }

  @Put(':id/complaints/:complaintId')
  @HttpCode(204)
  addComplaint(@Studio() scope: StudioScope, @Param() { id, complaintId }: ComplaintAddress, @Body() body: ComplaintInput): Promise<void> {
    return this.reports.addComplaint(scope, id, complaintId, body);
  }

  @Put(':id/morning')
  @HttpCode(204)
  @ApiOperation({
    summary: 'The next-day check of the hands. Numbness bars the hand until it is cleared.',
  })
  morning(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: MorningInput): Promise<void> {
    return this.sessions.saveNextDayCheck(scope, id, body);
  }

  @Put(':id/end')
  end(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: SessionEndInput): Promise<SessionRecord> {
    return this.sessions.end(scope, id, body);
  }
}
