import {
  ById,
  ClassClockInput,
  ClassEventAddress,
  ClassEventInput,
  type ClassMemberPlan,
  ClassPlanQuestion,
  ClassSessionInput,
  type RunningClass,
  type StoredClass,
} from '@clay-pot/contracts';
import { Body, Controller, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { ClassSessionsService } from './class-sessions.service.js';
import { RoomStream } from './room-stream.js';

/** Classes that are led together. */
@Controller()
export class ClassSessionsController {
  constructor(
    private readonly classes: ClassSessionsService,
    private readonly stream: RoomStream,
  ) {}

  @Post('class-plan')
  @HttpCode(200)
  @ApiOperation({
    summary: 'What one person does in each block of a class: forms that restrictions and strength allow, within the class’s time.',
  })
  plan(@Studio() scope: StudioScope, @Body() body: ClassPlanQuestion): Promise<ClassMemberPlan> {
    return this.classes.plan(scope, body);
  }

  @Get('class-sessions')
  @ApiOperation({ summary: 'Classes that are running.' })
  running(@Studio() scope: StudioScope): Promise<RunningClass[]> {
    return this.classes.running(scope);
  }

  @Get('class-sessions/:id')
  get(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredClass> {
    return this.classes.get(scope, id);
  }

  @Put('class-sessions/:id')
  begin(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: ClassSessionInput): Promise<StoredClass> {
    return this.classes.begin(scope, id, body);
  }

  @Put('class-sessions/:id/clock')
  @HttpCode(204)
  @ApiOperation({ summary: 'The clock of a class that began without a network. The first word counts.' })
  keepClock(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() { offsetMs }: ClassClockInput): Promise<void> {
    return this.classes.keepClock(scope, id, offsetMs);
  }

  @Put('class-sessions/:id/events/:eventId')
  @HttpCode(204)
  @ApiOperation({ summary: 'A press in a class. All its devices hear of it; records follow when it ends.' })
  async press(
    @Studio() scope: StudioScope,
    @Param() { id, eventId }: ClassEventAddress,
    @Body() { event }: ClassEventInput,
  ): Promise<void> {
    await this.classes.press(scope, id, eventId, event);
    this.stream.wake(id);
  }
}
