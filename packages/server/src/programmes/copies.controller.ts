import { ById, CopyInput, type CopyItem, type CopyPreview, type StoredProgramme } from '@clay-pot/contracts';
import { Body, Controller, Get, Headers, HttpCode, Param, Post, Res } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import type { FastifyReply } from 'fastify';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { tagged } from '../http/etag.js';
import { CopiesService } from './copies.service.js';

/** One programme for many people. */
@Controller('programmes/:id')
export class CopiesController {
  constructor(private readonly copies: CopiesService) {}

  @Get('copies')
  @ApiOperation({ summary: 'Who follows a programme with a copy of their own, and whether it has changed since.' })
  list(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<CopyItem[]> {
    return this.copies.list(scope, id);
  }

  @Post('copies/preview')
  @HttpCode(200)
  @ApiOperation({ summary: 'A programme as another athlete would do it, with every difference. Does not store anything.' })
  preview(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: CopyInput): Promise<CopyPreview> {
    return this.copies.preview(scope, id, body);
  }

  @Post('copies')
  @HttpCode(200)
  @ApiOperation({ summary: 'Creates an athlete’s copy of a programme, or updates it (If-Match: the copy’s version).' })
  async put(
    @Studio() scope: StudioScope,
    @Param() { id }: ById,
    @Body() body: CopyInput,
    @Headers('if-match') ifMatch: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredProgramme> {
    return tagged(reply, await this.copies.put(scope, id, body, ifMatch));
  }

  @Post('keep')
  @HttpCode(204)
  @ApiOperation({ summary: 'Leaves a copy as it is: the last changes of its source are not for this person.' })
  keep(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<void> {
    return this.copies.keep(scope, id);
  }
}
