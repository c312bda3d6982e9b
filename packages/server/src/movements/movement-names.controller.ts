import { OWN_NAME_INPUT, type OwnName, type OwnNameInput } from '@clay-pot/contracts';
import { Controller, Delete, Get, HttpCode, Param, Put } from '@nestjs/common';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Input } from '../http/input.js';
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
  put(
    @Studio() scope: StudioScope,
    @Param('movementId') movementId: string,
    @Input('OwnNameInput', OWN_NAME_INPUT) { name }: OwnNameInput,
  ): Promise<OwnName> {
    return this.names.put(scope, movementId, name);
  }

  @Delete(':movementId')
  @HttpCode(204)
  remove(@Studio() scope: StudioScope, @Param('movementId') movementId: string): Promise<void> {
    return this.names.remove(scope, movementId);
  }
}
