import { ById, MethodInput, type StoredMethod } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, Headers, HttpCode, Param, Post, Put, Res } from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { tagged } from '../http/etag.js';
import { MethodsService } from './methods.service.js';

/** Methods that a studio adds to the shipped ones. */
@Controller('methods')
export class MethodsController {
  constructor(private readonly methods: MethodsService) {}

  @Get()
  list(@Studio() scope: StudioScope): Promise<StoredMethod[]> {
    return this.methods.list(scope);
  }

  @Get(':id')
  async get(@Studio() scope: StudioScope, @Param() { id }: ById, @Res({ passthrough: true }) reply: FastifyReply): Promise<StoredMethod> {
    return tagged(reply, await this.methods.get(scope, id));
  }

  @Put(':id')
  async put(
    @Studio() scope: StudioScope,
    @Param() { id }: ById,
    @Body() body: MethodInput,
    @Headers('if-match') ifMatch: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredMethod> {
    return tagged(reply, await this.methods.put(scope, id, body, ifMatch));
  }

  @Delete(':id')
  @HttpCode(200)
  remove(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredMethod> {
    return this.methods.setRemoved(scope, id, true);
  }

  @Post(':id/restore')
  @HttpCode(200)
  restore(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredMethod> {
    return this.methods.setRemoved(scope, id, false);
  }
}
