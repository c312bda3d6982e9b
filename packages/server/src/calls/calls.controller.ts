import {
  type AnsweredCall,
  ById,
  CallAnswerAddress,
  CallAnswerInput,
  type CallsOfAthlete,
  CallTakenBackInput,
  type StudioCalls,
} from '@clay-pot/contracts';
import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { AnswerCallsService } from './answer-calls.service.js';
import { CallsService } from './calls.service.js';

/** Decisions that are proposed, with their evidence, and what a coach answers. */
@Controller()
export class CallsController {
  constructor(
    private readonly calls: CallsService,
    private readonly answers: AnswerCallsService,
  ) {}

  @Get('calls')
  @ApiOperation({ summary: 'Open suggestions for all athletes, most urgent first. Ask again while toLookAt is above 0.' })
  ofStudio(@Studio() scope: StudioScope): Promise<StudioCalls> {
    return this.calls.ofStudio(scope);
  }

  @Get('athletes/:id/calls')
  @ApiOperation({ summary: 'Open suggestions for one athlete, and those already answered.' })
  ofAthlete(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<CallsOfAthlete> {
    return this.calls.ofAthlete(scope, id);
  }

  @Put('athletes/:id/calls/:answerId')
  @ApiOperation({
    summary: 'Answers a suggestion: accepted, accepted with changes, or dismissed with a reason. Accepting changes the programme.',
  })
  answer(@Studio() scope: StudioScope, @Param() { id, answerId }: CallAnswerAddress, @Body() body: CallAnswerInput): Promise<AnsweredCall> {
    return this.answers.answer(scope, id, answerId, body);
  }

  @Put('athletes/:id/calls/:answerId/taken-back')
  @ApiOperation({ summary: 'Undoes an answer and what it changed.' })
  takeBack(
    @Studio() scope: StudioScope,
    @Param() { id, answerId }: CallAnswerAddress,
    @Body() body: CallTakenBackInput,
  ): Promise<AnsweredCall> {
    return this.answers.takeBack(scope, id, answerId, body);
  }
}
