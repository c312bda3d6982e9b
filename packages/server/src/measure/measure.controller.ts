import {
  type CriticalForceAnswer,
  CriticalForceQuestion,
  type TraceAnswer,
  TraceQuestion,
  type TrendAnswer,
  TrendQuestion,
} from '@clay-pot/contracts';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { answerCriticalForce } from '@clay-pot/core/answers';
import { Examples } from '../http/openapi.js';
import { HeavyWork } from '../work/heavy-work.js';
import { EXAMPLES } from './examples.js';

const answered = (example: unknown) => ({ schema: { type: 'object', example } });

/** What signals, readings and tests tell. Nothing is stored. */
@Controller('measure')
export class MeasureController {
  constructor(private readonly work: HeavyWork) {}

  @Examples(TraceQuestion, EXAMPLES.trace.questions)
  @Post('trace')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Onset, peak, plateau, rate of rise and steadiness of one effort, with any faults in the signal.',
  })
  @ApiOkResponse(answered(EXAMPLES.trace.answer))
  trace(@Body() body: TraceQuestion): Promise<TraceAnswer> {
    return this.work.run('answerTrace', body);
  }

  @Examples(TrendQuestion, EXAMPLES.trend.questions)
  @Post('trend')
  @HttpCode(200)
  @ApiOperation({ summary: 'The weekly slope of readings with its interval, and when a goal will be reached, or why not.' })
  @ApiOkResponse(answered(EXAMPLES.trend.answer))
  trend(@Body() body: TrendQuestion): Promise<TrendAnswer> {
    return this.work.run('answerTrend', body);
  }

  @Examples(CriticalForceQuestion, EXAMPLES.criticalForce.questions)
  @Post('critical-force')
  @HttpCode(200)
  @ApiOperation({ summary: 'Critical force, and the impulse above it, from an all-out test.' })
  @ApiOkResponse(answered(EXAMPLES.criticalForce.answer))
  criticalForce(@Body() body: CriticalForceQuestion): CriticalForceAnswer {
    return answerCriticalForce(body);
  }
}
