import {
  type AnsweredSuggestion,
  ById,
  SuggestionAnswerAddress,
  SuggestionAnswerInput,
  type SuggestionsOfAthlete,
  SuggestionTakenBackInput,
  type StudioSuggestions,
} from '@clay-pot/contracts';
import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { HoldsWhileUnchanged } from '../http/unchanged.interceptor.js';
import { AnswerSuggestionsService } from './answer-suggestions.service.js';
import { SuggestionsService } from './suggestions.service.js';

/** Decisions that are proposed, with their evidence, and what a coach answers. */
@Controller()
export class SuggestionsController {
  constructor(
    private readonly suggestions: SuggestionsService,
    private readonly answers: AnswerSuggestionsService,
  ) {}

  @Get('suggestions')
  @HoldsWhileUnchanged({ holdsIf: ({ toLookAt }: StudioSuggestions) => toLookAt === 0 })
  @ApiOperation({ summary: 'Open suggestions for all athletes, most urgent first. Ask again while toLookAt is above 0.' })
  ofStudio(@Studio() scope: StudioScope): Promise<StudioSuggestions> {
    return this.suggestions.ofStudio(scope);
  }

  @Get('athletes/:id/suggestions')
  @ApiOperation({ summary: 'Open suggestions for one athlete, and those already answered.' })
  ofAthlete(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<SuggestionsOfAthlete> {
    return this.suggestions.ofAthlete(scope, id);
  }

  @Put('athletes/:id/suggestions/:answerId')
  @ApiOperation({
    summary: 'Answers a suggestion: accepted, accepted with changes, or dismissed with a reason. Accepting changes the programme.',
  })
  answer(
    @Studio() scope: StudioScope,
    @Param() { id, answerId }: SuggestionAnswerAddress,
    @Body() body: SuggestionAnswerInput,
  ): Promise<AnsweredSuggestion> {
    return this.answers.answer(scope, id, answerId, body);
  }

  @Put('athletes/:id/suggestions/:answerId/taken-back')
  @ApiOperation({ summary: 'Undoes an answer and what it changed.' })
  undo(
    @Studio() scope: StudioScope,
    @Param() { id, answerId }: SuggestionAnswerAddress,
    @Body() body: SuggestionTakenBackInput,
  ): Promise<AnsweredSuggestion> {
    return this.answers.undo(scope, id, answerId, body);
  }
}
