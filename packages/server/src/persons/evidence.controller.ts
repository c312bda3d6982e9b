import { ById } from '@clay-pot/contracts';
import type { Evidence } from '@clay-pot/core';
import { Controller, Get, Param } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { PersonsService } from './persons.service.js';

/** What an athlete's sets tell of their maxima. */
@Controller('athletes/:id/evidence')
export class EvidenceController {
  constructor(private readonly persons: PersonsService) {}

  @Get()
  @ApiOperation({
    summary: 'Evidence for an athlete’s maxima from the last months: tests, holds, all-out tests and rated or failed sets.',
  })
  list(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<Evidence[]> {
    return this.persons.evidenceFromSets(scope, id);
  }
}
