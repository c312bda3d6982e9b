import { type ScreenAnswer, ScreenQuestion } from '@clay-pot/contracts';
import { screen, screeningWords, whyItHurts } from '@clay-pot/core';
import { Body, Controller, HttpCode, Post } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Examples } from '../http/openapi.js';
import { ScreenService } from './screen.service.js';

const tingling: ScreenQuestion = {
  ageYears: 45,
  signs: [{ sign: 'night-tingling', hand: 'right' }],
  symptoms: [{ place: 'wrist-back', hand: 'left', kind: 'ache', score: 4 }],
  path: ['late', 'no'],
};
const sprained: ScreenQuestion = {
  ageYears: 29,
  history: [
    { condition: 'sprain', hand: 'right', since: '2026-01-20' },
    {
      condition: 'surgery',
      hand: 'left',
      since: '2025-11-02',
      clearedOn: '2026-02-01',
      clearedBy: 'Dr Example',
      clearedUntil: '2026-12-31',
      within: { extensionDeg: 60, until: '2026-06-30' },
    },
  ],
};
const EXAMPLES = {
  tingling: { summary: 'Tingling at night, and an ache at the other wrist', value: tingling },
  sprained: { summary: 'A sprain, and surgery that was cleared within limits', value: sprained },
};
const { signs, symptoms, path } = tingling;
const screening = screen(
  { ...(signs && { signs }), ...(symptoms && { symptoms }) },
  { onDay: '2026-03-01', ageYears: 45, intakeId: '00000000-0000-7000-8000-000000000000' },
);
const ANSWER: ScreenAnswer = {
  ...screening,
  words: screeningWords(screening),
  movements: [],
  whyItHurts: path ? whyItHurts(path) : null,
};

/** What answers about health lead to. Nothing is stored. */
@Controller('screen')
export class ScreenController {
  constructor(private readonly service: ScreenService) {}

  @Examples(ScreenQuestion, EXAMPLES)
  @Post('verdict')
  @HttpCode(200)
  @ApiOperation({
    summary: 'The verdict with each reason, what is restricted, and what to try first for pain.',
  })
  @ApiOkResponse({ schema: { type: 'object', example: ANSWER } })
  verdict(@Studio() scope: StudioScope, @Body() body: ScreenQuestion): Promise<ScreenAnswer> {
    return this.service.verdict(scope, body);
  }
}
