import { ById, IntakeAddress, IntakeInput, type IntakeSaved, type StoredIntake } from '@clay-pot/contracts';
import { Body, Controller, Get, Param, Put } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { IntakesService } from './intakes.service.js';

/** What an athlete was asked before training. */
@Controller('athletes/:id/intakes')
export class IntakesController {
  constructor(private readonly intakes: IntakesService) {}

  @Get()
  list(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredIntake[]> {
    return this.intakes.list(scope, id);
  }

  @Put(':intakeId')
  @ApiOperation({ summary: 'Stores check-in answers with their day and updates the athlete’s restrictions.' })
  add(@Studio() scope: StudioScope, @Param() { id, intakeId }: IntakeAddress, @Body() body: IntakeInput): Promise<IntakeSaved> {
    return this.intakes.add(scope, id, intakeId, body);
  }
}
