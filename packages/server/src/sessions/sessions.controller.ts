import {
  BLOCK_REPORT_INPUT,
  type BlockReportInput,
  COMPLAINT_INPUT,
  FORM_TICK_INPUT,
  type FormTickInput,
  HAND_LOOK_INPUT,
  type HandLookInput,
  type ComplaintInput,
  DONE_SET_INPUT,
  MORNING_INPUT,
  type DoneSetInput,
  type MorningInput,
  SESSION_END_INPUT,
  SESSION_INPUT,
  type SessionEndInput,
  type SessionInput,
  type SessionPage,
  type SessionRecord,
} from '@clay-pot/contracts';
import { Controller, Get, HttpCode, Param, Put, Query } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Input } from '../http/input.js';
import { IdPipe } from '../http/id.pipe.js';
import { invalid } from '../http/problem.js';
import { pageEndOf, pageOf } from './session-list.js';
import { SessionsService } from './sessions.service.js';
import { ToldService } from './told.service.js';

const PAGE = 30;
const PAGE_MAX = 200;

/** Sessions as they are led and recorded. */
@Controller('sessions')
export class SessionsController {
  constructor(
    private readonly sessions: SessionsService,
    private readonly told: ToldService,
  ) {}

  @Get()
  list(
    @Studio() scope: StudioScope,
    @Query('athlete') athlete?: string,
    @Query('before') before?: string,
    @Query('limit') limit?: string,
  ): Promise<SessionPage> {
    const size = limit === undefined ? PAGE : Number(limit);
    if (!Number.isInteger(size) || size < 1 || size > PAGE_MAX) {
      throw invalid([{ pointer: '/limit', message: `must be a whole number within 1–${PAGE_MAX}` }]);
    }
    return pageOf(scope, {
      athleteId: athlete ?? null,
      before: before === undefined ? null : pageEndOf(before),
      limit: size,
    });
  }

  @Get(':id')
  get(@Studio() scope: StudioScope, @Param('id', IdPipe) id: string): Promise<SessionRecord> {
    return this.sessions.get(scope, id);
  }

  @Put(':id')
  begin(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Input('SessionInput', SESSION_INPUT) body: SessionInput,
  ): Promise<SessionRecord> {
    return this.sessions.begin(scope, id, body);
  }

  @Put(':id/sets/:setId')
  @HttpCode(204)
  addSet(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Param('setId', IdPipe) setId: string,
    @Input('DoneSetInput', DONE_SET_INPUT) body: DoneSetInput,
  ): Promise<void> {
    return this.told.addSet(scope, id, setId, body);
  }

  @Put(':id/reports/:reportId')
  @HttpCode(204)
  addReport(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Param('reportId', IdPipe) reportId: string,
    @Input('BlockReportInput', BLOCK_REPORT_INPUT) body: BlockReportInput,
  ): Promise<void> {
    return this.told.addReport(scope, id, reportId, body);
  }

  @Put(':id/looks/:lookId')
  @HttpCode(204)
  addLook(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Param('lookId', IdPipe) lookId: string,
    @Input('HandLookInput', HAND_LOOK_INPUT) body: HandLookInput,
  ): Promise<void> {
    return this.told.addLook(scope, id, lookId, body);
  }

  @Put(':id/form/:tickId')
  @HttpCode(204)
  @ApiOperation({
    summary: 'A fault of form, ticked while watching; gates ask for none. The latest tick of a fault stands.',
  })
  addForm(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Param('tickId', IdPipe) tickId: string,
    @Input('FormTickInput', FORM_TICK_INPUT) body: FormTickInput,
  ): Promise<void> {
    return this.told.addForm(scope, id, tickId, body);
  }

  @Put(':id/complaints/:complaintId')
  @HttpCode(204)
  addComplaint(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Param('complaintId', IdPipe) complaintId: string,
    @Input('ComplaintInput', COMPLAINT_INPUT) body: ComplaintInput,
  ): Promise<void> {
    return this.told.addComplaint(scope, id, complaintId, body);
  }

  @Put(':id/morning')
  @HttpCode(204)
  @ApiOperation({
    summary: 'How the hands were the morning after; numbness bars the hand until somebody has cleared it.',
  })
  morning(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Input('MorningInput', MORNING_INPUT) body: MorningInput,
  ): Promise<void> {
    return this.sessions.tellMorning(scope, id, body);
  }

  @Put(':id/end')
  end(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Input('SessionEndInput', SESSION_END_INPUT) body: SessionEndInput,
  ): Promise<SessionRecord> {
    return this.sessions.end(scope, id, body);
  }
}
