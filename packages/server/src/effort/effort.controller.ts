import {
  EFFORT_QUESTION,
  type EffortQuestion,
  type EffortSessionAnswer,
  type EffortTimelineAnswer,
  type OffersAnswer,
  OFFERS_QUESTION,
  type OffersQuestion,
} from '@clay-pot/contracts';
import { Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Input } from '../http/input.js';
import { EffortService } from './effort.service.js';
import { EFFORT_EXAMPLE } from './examples.js';

const EXAMPLES = { blocks: { summary: 'Two blocks', value: EFFORT_EXAMPLE.question } };

/** What sequences come to for somebody. */
@Controller('effort')
export class EffortController {
  constructor(private readonly effort: EffortService) {}

  @Post('timeline')
  @HttpCode(200)
  @ApiOperation({
    summary: 'A sequence compiled to its timeline, with what it leaves of every muscle group’s capacity.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: EFFORT_EXAMPLE.timeline } })
  timeline(
    @Studio() scope: StudioScope,
    @Input('EffortQuestion', EFFORT_QUESTION, { examples: EXAMPLES }) body: EffortQuestion,
  ): Promise<EffortTimelineAnswer> {
    return this.effort.timeline(scope, body);
  }

  @Post('session')
  @HttpCode(200)
  @ApiOperation({
    summary: 'What a sequence does: fatigue, accounts, balance, coverage, and what the checks say.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: EFFORT_EXAMPLE.session } })
  session(
    @Studio() scope: StudioScope,
    @Input('EffortQuestion', EFFORT_QUESTION, { examples: EXAMPLES }) body: EffortQuestion,
  ): Promise<EffortSessionAnswer> {
    return this.effort.session(scope, body);
  }

  @Post('offers')
  @HttpCode(200)
  @ApiOperation({ summary: 'What would answer one finding without raising another as grave, the gentlest first.' })
  offers(
    @Studio() scope: StudioScope,
    @Input('OffersQuestion', OFFERS_QUESTION) body: OffersQuestion,
  ): Promise<OffersAnswer> {
    return this.effort.offers(scope, body);
  }
}
