import {
  checkPostureInput,
  POSTURE_QUESTION,
  type PostureAnswer,
  type PostureQuestion,
  SOLVE_QUESTION,
  type SolveAnswer,
  type SolveQuestion,
} from '@clay-pot/contracts';
import { under } from '@clay-pot/core';
import { Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Input } from '../http/input.js';
import { EXAMPLES } from './examples.js';
import { MechanicsService } from './mechanics.service.js';

const check = ({ posture }: PostureQuestion) => under('/posture', checkPostureInput(posture));

/** What postures ask of hands, and the inverse. */
@Controller('mechanics')
export class MechanicsController {
  constructor(private readonly mechanics: MechanicsService) {}

  @Post('posture')
  @HttpCode(200)
  @ApiOperation({ summary: 'What a posture on the hands asks of each hand: load, wrist angle, moment, effort.' })
  @ApiOkResponse({ schema: { type: 'object', example: EXAMPLES.posture.answer } })
  posture(
    @Studio() scope: StudioScope,
    @Input('PostureQuestion', POSTURE_QUESTION, { examples: EXAMPLES.posture.questions, check }) body: PostureQuestion,
  ): Promise<PostureAnswer> {
    return this.mechanics.posture(scope, body);
  }

  @Post('solve')
  @HttpCode(200)
  @ApiOperation({
    summary: 'The value of one field of a posture at which a hand bears, bends or works as much as wanted.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: EXAMPLES.solve.answer } })
  solve(
    @Studio() scope: StudioScope,
    @Input('SolveQuestion', SOLVE_QUESTION, { examples: EXAMPLES.solve.questions, check }) body: SolveQuestion,
  ): Promise<SolveAnswer> {
    return this.mechanics.solve(scope, body);
  }
}
