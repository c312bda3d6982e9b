import { Module } from '@nestjs/common';
import { ReadingsController } from './readings.controller.js';
import { RepeatsController } from './repeats.controller.js';
import { ReadingsService } from './readings.service.js';

/** Measurements of athletes. */
@Module({
  controllers: [ReadingsController, RepeatsController],
  providers: [ReadingsService],
  exports: [ReadingsService],
})
export class ReadingsModule {}
