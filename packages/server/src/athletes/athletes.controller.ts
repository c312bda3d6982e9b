import { type Athlete, AthleteInput, type AthleteListItem, AthletesQuery, ById } from '@clay-pot/contracts';
import { Body, Controller, Get, Headers, Param, Put, Query, Res } from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import type { PageOf } from '../database/paging.js';
import { ListPage } from '../http/list-page.js';
import { HoldsWhileUnchanged } from '../http/unchanged.interceptor.js';
import { tagged } from '../http/etag.js';
import { AthletesService } from './athletes.service.js';

/** People of the studio. */
@Controller('athletes')
export class AthletesController {
  constructor(private readonly athletes: AthletesService) {}

  @Get()
  @ListPage()
  list(@Studio() scope: StudioScope, @Query() query: AthletesQuery): Promise<PageOf<AthleteListItem>> {
    return this.athletes.list(scope, query);
  }

  @Get(':id')
  @HoldsWhileUnchanged()
  async get(@Studio() scope: StudioScope, @Param() { id }: ById, @Res({ passthrough: true }) reply: FastifyReply): Promise<Athlete> {
    return tagged(reply, await this.athletes.get(scope, id));
  }

  @Put(':id')
  async put(
    @Studio() scope: StudioScope,
    @Param() { id }: ById,
    @Body() body: AthleteInput,
    @Headers('if-match') ifMatch: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<Athlete> {
    return tagged(reply, await this.athletes.put(scope, id, body, ifMatch));
  }
}
