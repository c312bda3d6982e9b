import {
  ById,
  type EvaluateAnswer,
  EvaluateQuestion,
  ProgrammeFileInput,
  ProgrammeInput,
  ProgrammesQuery,
  type ProgrammeListItem,
  type StoredProgramme,
} from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, Headers, HttpCode, Param, Post, Put, Query, Res } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import type { PageOf } from '../database/paging.js';
import { ListPage } from '../http/list-page.js';
import { tagged } from '../http/etag.js';
import { Examples } from '../http/openapi.js';
import { EvaluateService } from './evaluate.service.js';
import { EVALUATE_ANSWERED, EVALUATE_EXAMPLE } from './examples.js';
import { sendFile } from '../http/file-name.js';
import { ProgrammeFilesService } from './programme-files.service.js';
import { ProgrammesService } from './programmes.service.js';

const EXAMPLES = { two: { summary: 'Two weeks for an athlete without a record', value: EVALUATE_EXAMPLE } };

/** Sequences over weeks: kept, and computed. */
@Controller('programmes')
export class ProgrammesController {
  constructor(
    private readonly programmes: ProgrammesService,
    private readonly files: ProgrammeFilesService,
    private readonly evaluation: EvaluateService,
  ) {}

  @Get()
  @ListPage()
  list(@Studio() scope: StudioScope, @Query() query: ProgrammesQuery): Promise<PageOf<ProgrammeListItem>> {
    return this.programmes.list(scope, query);
  }

  @Get(':id')
  async get(
    @Studio() scope: StudioScope,
    @Param() { id }: ById,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredProgramme> {
    return tagged(reply, await this.programmes.get(scope, id));
  }

  @Put(':id')
  async put(
    @Studio() scope: StudioScope,
    @Param() { id }: ById,
    @Body() body: ProgrammeInput,
    @Headers('if-match') ifMatch: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredProgramme> {
    return tagged(reply, await this.programmes.put(scope, id, body, ifMatch));
  }

  @Delete(':id')
  @HttpCode(200)
  remove(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredProgramme> {
    return this.programmes.setRemoved(scope, id, true);
  }

  @Post(':id/restore')
  @HttpCode(200)
  restore(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredProgramme> {
    return this.programmes.setRemoved(scope, id, false);
  }

  @Get(':id/export')
  async export(@Studio() scope: StudioScope, @Param() { id }: ById, @Res() reply: FastifyReply): Promise<void> {
    const { fileName, text } = await this.files.exported(scope, id);
    await sendFile(reply, fileName, text);
  }

  @Post('import')
  @ApiOperation({
    summary: 'Stores the programme of a file for an athlete, its sequences as new ones, completely or not at all.',
  })
  async import(
    @Studio() scope: StudioScope,
    @Body() body: ProgrammeFileInput,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredProgramme> {
    return tagged(reply, await this.files.imported(scope, body));
  }

  @Examples(EvaluateQuestion, EXAMPLES)
  @Post('evaluate')
  @HttpCode(200)
  @ApiOperation({ summary: 'A programme’s weeks with their loads and check results. Does not store anything.' })
  @ApiOkResponse({ schema: { type: 'object', example: EVALUATE_ANSWERED } })
  evaluate(@Studio() scope: StudioScope, @Body() body: EvaluateQuestion): Promise<EvaluateAnswer> {
    return this.evaluation.evaluate(scope, body);
  }
}
