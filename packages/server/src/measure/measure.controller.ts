import {
  answerCriticalForce,
  CRITICAL_FORCE_QUESTION,
  type CriticalForceAnswer,
  type CriticalForceQuestion,
  TRACE_QUESTION,
  type TraceAnswer,
  type TraceQuestion,
  TREND_QUESTION,
  type TrendAnswer,
  type TrendQuestion,
} from '@clay-pot/contracts';
import { Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Input } from '../http/input.js';
import { HeavyWork } from '../work/heavy-work.js';
import { EXAMPLES } from './examples.js';

const answered = (example: unknown) => ({ schema: { type: 'object', example } });

/** What signals, readings and tests tell. Nothing is stored. */
@Controller('measure')
export class MeasureController {
  constructor(private readonly work: HeavyWork) {}

  @Post('trace')
  @HttpCode(200)
  @ApiOperation({
    summary: 'Onset, peak, plateau, rate of rise and steadiness of one effort of a force gauge, and what was wrong with the signal.', // prettier-ignore
  })
  @ApiOkResponse(answered(EXAMPLES.trace.answer))
  trace(
    @Input('TraceQuestion', TRACE_QUESTION, { examples: EXAMPLES.trace.questions }) body: TraceQuestion,
  ): Promise<TraceAnswer> {
    return this.work.run('answerTrace', body);
  }

  @Post('trend')
  @HttpCode(200)
  @ApiOperation({ summary: 'The slope of readings a week with its interval, and when a goal is met or why not.' })
  @ApiOkResponse(answered(EXAMPLES.trend.answer))
  trend(
    @Input('TrendQuestion', TREND_QUESTION, { examples: EXAMPLES.trend.questions }) body: TrendQuestion,
  ): Promise<TrendAnswer> {
    return this.work.run('answerTrend', body);
  }

  @Post('critical-force')
  @HttpCode(200)
  @ApiOperation({ summary: 'The force that can be kept up, and the impulse above it, from an all-out test.' })
  @ApiOkResponse(answered(EXAMPLES.criticalForce.answer))
  criticalForce(
    @Input('CriticalForceQuestion', CRITICAL_FORCE_QUESTION, { examples: EXAMPLES.criticalForce.questions })
    body: CriticalForceQuestion,
  ): CriticalForceAnswer {
    return answerCriticalForce(body);
  }
}
