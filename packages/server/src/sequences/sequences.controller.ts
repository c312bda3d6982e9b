import {
  ById,
  SequenceFileInput,
  SequenceFilingInput,
  SequenceInput,
  type SequenceListItem,
  SequencesQuery,
  type SequenceTextAnswer,
  SequenceTextInput,
  type StoredSequence,
} from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, Headers, HttpCode, Param, Post, Put, Query, Res } from '@nestjs/common';
import { ApiOkResponse, ApiOperation } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { sendFile } from '../http/file-name.js';
import { Examples } from '../http/openapi.js';
import type { PageOf } from '../database/paging.js';
import { ListPage } from '../http/list-page.js';
import { tagged } from '../http/etag.js';
import { TEXT_EXAMPLE } from './examples.js';
import { SequencesService } from './sequences.service.js';

/** Sequences: kept, exported, imported. */
@Controller('sequences')
export class SequencesController {
  constructor(private readonly sequences: SequencesService) {}

  @Get()
  @ListPage()
  list(@Studio() scope: StudioScope, @Query() query: SequencesQuery): Promise<PageOf<SequenceListItem>> {
    return this.sequences.list(scope, query);
  }

  @Get(':id')
  async get(@Studio() scope: StudioScope, @Param() { id }: ById, @Res({ passthrough: true }) reply: FastifyReply): Promise<StoredSequence> {
    return tagged(reply, await this.sequences.get(scope, id));
  }

  @Put(':id')
  async put(
    @Studio() scope: StudioScope,
    @Param() { id }: ById,
    @Body() body: SequenceInput,
    @Headers('if-match') ifMatch: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredSequence> {
    return tagged(reply, await this.sequences.put(scope, id, body, ifMatch));
  }

  @Put(':id/filing')
  @HttpCode(204)
  @ApiOperation({ summary: 'Tags, favourites and the archive. The sequence and its version stay as they are.' })
  file(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: SequenceFilingInput): Promise<void> {
    return this.sequences.file(scope, id, body);
  }

  @Delete(':id')
  @HttpCode(204)
  remove(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<void> {
    return this.sequences.remove(scope, id);
  }

  @Post(':id/restore')
  @HttpCode(200)
  async restore(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredSequence> {
    return this.sequences.restore(scope, id);
  }

  @Get(':id/export')
  async export(@Studio() scope: StudioScope, @Param() { id }: ById, @Res() reply: FastifyReply): Promise<void> {
    const { fileName, text } = await this.sequences.exported(scope, id);
    await sendFile(reply, fileName, text);
  }

  @Examples(SequenceTextInput, TEXT_EXAMPLE.message)
  @Post('read')
  @HttpCode(200)
  @ApiOperation({ summary: 'Reads a sequence from plain text (docs/format.md). Does not store anything.' })
  @ApiOkResponse({ schema: { type: 'object', example: TEXT_EXAMPLE.read } })
  read(@Studio() scope: StudioScope, @Body() body: SequenceTextInput): Promise<SequenceTextAnswer> {
    return this.sequences.read(scope, body.text);
  }

  @Post('write')
  @HttpCode(200)
  @ApiOperation({ summary: 'Writes a sequence as plain text that can be read back. Does not store anything.' })
  @ApiOkResponse({ schema: { type: 'object', example: { text: TEXT_EXAMPLE.text } } })
  write(@Studio() scope: StudioScope, @Body() body: SequenceInput): Promise<{ text: string }> {
    return this.sequences.written(scope, body);
  }

  @Post('import')
  async import(
    @Studio() scope: StudioScope,
    @Body() body: SequenceFileInput,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredSequence> {
    return tagged(reply, await this.sequences.imported(scope, body.id, body.text));
  }
}
