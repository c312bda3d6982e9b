import { type ComposeAnswer, ComposeQuestion, type SwapAnswer, SwapQuestion } from '@clay-pot/contracts';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Examples } from '../http/openapi.js';
import { ComposeService } from './compose.service.js';
import { COMPOSE_ANSWERED, COMPOSE_EXAMPLE } from './examples.js';

const EXAMPLES = { desk: { summary: 'Twenty minutes for hands at a desk', value: COMPOSE_EXAMPLE } };

/** Sequences made for somebody. Nothing is stored. */
@Controller('compose')
export class ComposeController {
  constructor(private readonly composer: ComposeService) {}

  @Examples(ComposeQuestion, EXAMPLES)
  @Post()
  @HttpCode(200)
  @ApiOperation({
    summary: 'Generates a sequence for a goal and a time, with its reasons, limits and distance from the best possible.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: COMPOSE_ANSWERED } })
  compose(@Studio() scope: StudioScope, @Body() body: ComposeQuestion): Promise<ComposeAnswer> {
    return this.composer.compose(scope, body);
  }

  @Post('swap')
  @HttpCode(200)
  @ApiOperation({ summary: 'Five other movements for a block, each with what changes. None raises a finding.' })
  swap(@Studio() scope: StudioScope, @Body() body: SwapQuestion): Promise<SwapAnswer> {
    return this.composer.swaps(scope, body);
  }
}
