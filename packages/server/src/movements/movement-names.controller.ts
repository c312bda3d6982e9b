import { MovementAddress, type OwnName, OwnNameInput } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { MovementNamesService } from './movement-names.service.js';

/** What the studio calls movements, beside their plain names. */
@Controller('movement-names')
export class MovementNamesController {
  constructor(private readonly names: MovementNamesService) {}

  @Get()
  list(@Studio() scope: StudioScope): Promise<OwnName[]> {
    return this.names.list(scope);
  }

  @Put(':movementId')
  put(@Studio() scope: StudioScope, @Param() { movementId }: MovementAddress, @Body() { name }: OwnNameInput): Promise<OwnName> {
    return this.names.put(scope, movementId, name);
  }

  @Delete(':movementId')
  @HttpCode(204)
  remove(@Studio() scope: StudioScope, @Param() { movementId }: MovementAddress): Promise<void> {
    return this.names.remove(scope, movementId);
  }
}
