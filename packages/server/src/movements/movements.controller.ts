import { ById, MovementInput, type StoredMovement } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, Headers, HttpCode, Param, Post, Put, Res } from '@nestjs/common';
import type { FastifyReply } from 'fastify';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { tagged } from '../http/etag.js';
import { MovementsService } from './movements.service.js';

/** Movements that a studio adds to the shipped library. */
@Controller('movements')
export class MovementsController {
  constructor(private readonly movements: MovementsService) {}

  @Get()
  list(@Studio() scope: StudioScope): Promise<StoredMovement[]> {
    return this.movements.list(scope);
  }

  @Get(':id')
  async get(@Studio() scope: StudioScope, @Param() { id }: ById, @Res({ passthrough: true }) reply: FastifyReply): Promise<StoredMovement> {
    return tagged(reply, await this.movements.get(scope, id));
  }

  @Put(':id')
  async put(
    @Studio() scope: StudioScope,
    @Param() { id }: ById,
    @Body() body: MovementInput,
    @Headers('if-match') ifMatch: string | undefined,
    @Res({ passthrough: true }) reply: FastifyReply,
  ): Promise<StoredMovement> {
    return tagged(reply, await this.movements.put(scope, id, body, ifMatch));
  }

  @Delete(':id')
  @HttpCode(200)
  remove(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredMovement> {
    return this.movements.setRemoved(scope, id, true);
  }

  @Post(':id/restore')
  @HttpCode(200)
  restore(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredMovement> {
    return this.movements.setRemoved(scope, id, false);
  }
}
