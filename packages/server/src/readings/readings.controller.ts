import {
  READING_INPUT,
  type ReadingInput,
  READINGS_INPUT,
  type ReadingsAdded,
  type ReadingsInput,
  type StoredReading,
} from '@clay-pot/contracts';
import { Controller, Delete, Get, HttpCode, Param, Post, Put } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { Input } from '../http/input.js';
import { IdPipe } from '../http/id.pipe.js';
import { ReadingsService } from './readings.service.js';

/** Measurements of an athlete. */
@Controller('athletes/:id/readings')
export class ReadingsController {
  constructor(private readonly readings: ReadingsService) {}

  @Get()
  list(@Studio() scope: StudioScope, @Param('id', IdPipe) id: string): Promise<StoredReading[]> {
    return this.readings.list(scope, id);
  }

  @Post()
  @HttpCode(200)
  @ApiOperation({
    summary: 'Adds many readings, all of them or none; those that are there already are counted as known.',
  })
  addAll(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Input('ReadingsInput', READINGS_INPUT) body: ReadingsInput,
  ): Promise<ReadingsAdded> {
    return this.readings.addAll(scope, id, body);
  }

  @Put(':readingId')
  add(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Param('readingId', IdPipe) readingId: string,
    @Input('ReadingInput', READING_INPUT) body: ReadingInput,
  ): Promise<StoredReading> {
    return this.readings.add(scope, id, readingId, body);
  }

  @Delete(':readingId')
  @HttpCode(204)
  remove(
    @Studio() scope: StudioScope,
    @Param('id', IdPipe) id: string,
    @Param('readingId', IdPipe) readingId: string,
  ): Promise<void> {
    return this.readings.remove(scope, id, readingId);
  }
}
