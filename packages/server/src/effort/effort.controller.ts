import {
  EffortQuestion,
  type EffortSessionAnswer,
  type EffortTimelineAnswer,
  type OffersAnswer,
  OffersQuestion,
} from '@clay-pot/contracts';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Examples } from '../http/openapi.js';
import { EffortService } from './effort.service.js';
import { EFFORT_EXAMPLE } from './examples.js';

const EXAMPLES = { blocks: { summary: 'Two blocks', value: EFFORT_EXAMPLE.question } };

/** What sequences come to for somebody. */
@Controller('effort')
export class EffortController {
  constructor(private readonly effort: EffortService) {}

  @Examples(EffortQuestion, EXAMPLES)
  @Post('timeline')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Compiles a sequence to its timeline, with the capacity each muscle group has left.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: EFFORT_EXAMPLE.timeline } })
  timeline(@Studio() scope: StudioScope, @Body() body: EffortQuestion): Promise<EffortTimelineAnswer> {
    return this.effort.timeline(scope, body);
  }

  @Examples(EffortQuestion, EXAMPLES)
  @Post('session')
  @HttpCode(200)
  @ApiOperation({
    summary: 'What a sequence does: fatigue, totals, balance, coverage and check results.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: EFFORT_EXAMPLE.session } })
  session(@Studio() scope: StudioScope, @Body() body: EffortQuestion): Promise<EffortSessionAnswer> {
    return this.effort.session(scope, body);
  }

  @Post('offers')
  @HttpCode(200)
  @ApiOperation({ summary: 'Fixes for one finding that raise none as serious, gentlest first.' })
  offers(@Studio() scope: StudioScope, @Body() body: OffersQuestion): Promise<OffersAnswer> {
    return this.effort.offers(scope, body);
  }
}
