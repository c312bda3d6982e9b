import { ById, ReadingAddress, ReadingInput, type ReadingsAdded, ReadingsInput, type StoredReading } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { ReadingsService } from './readings.service.js';

/** Measurements of an athlete. */
@Controller('athletes/:id/readings')
export class ReadingsController {
  constructor(private readonly readings: ReadingsService) {}

  @Get()
  list(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredReading[]> {
    return this.readings.list(scope, id);
  }

  @Post()
  @HttpCode(200)
  @ApiOperation({
    summary: 'Adds many readings, all or none. Those already stored count as known.',
  })
  addAll(@Studio() scope: StudioScope, @Param() { id }: ById, @Body() body: ReadingsInput): Promise<ReadingsAdded> {
    return this.readings.addAll(scope, id, body);
  }

  @Put(':readingId')
  add(@Studio() scope: StudioScope, @Param() { id, readingId }: ReadingAddress, @Body() body: ReadingInput): Promise<StoredReading> {
    return this.readings.add(scope, id, readingId, body);
  }

  @Delete(':readingId')
  @HttpCode(204)
  remove(@Studio() scope: StudioScope, @Param() { id, readingId }: ReadingAddress): Promise<void> {
    return this.readings.remove(scope, id, readingId);
  }
}
