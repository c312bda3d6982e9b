import { type PostureAnswer, PostureQuestion, type SolveAnswer, SolveQuestion } from '@clay-pot/contracts';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Examples } from '../http/openapi.js';
import { EXAMPLES } from './examples.js';
import { MechanicsService } from './mechanics.service.js';

/** What postures ask of hands, and the inverse. */
@Controller('mechanics')
export class MechanicsController {
  constructor(private readonly mechanics: MechanicsService) {}

  @Examples(PostureQuestion, EXAMPLES.posture.questions)
  @Post('posture')
  @HttpCode(200)
  @ApiOperation({ summary: 'What a posture on the hands demands of each hand: load, wrist angle, torque, effort.' })
  @ApiOkResponse({ schema: { type: 'object', example: EXAMPLES.posture.answer } })
  posture(@Studio() scope: StudioScope, @Body() body: PostureQuestion): Promise<PostureAnswer> {
    return this.mechanics.posture(scope, body);
  }

  @Examples(SolveQuestion, EXAMPLES.solve.questions)
  @Post('solve')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Solves one value of a posture for a wanted load, angle or effort.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: EXAMPLES.solve.answer } })
  solve(@Studio() scope: StudioScope, @Body() body: SolveQuestion): Promise<SolveAnswer> {
    return this.mechanics.solve(scope, body);
  }
}
