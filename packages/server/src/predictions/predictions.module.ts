import { Module } from '@nestjs/common';
import { KeptModule } from '../kept/kept.module.js';
import { ReadingsModule } from '../readings/readings.module.js';
import { WorkModule } from '../work/work.module.js';
import { PredictionsController } from './predictions.controller.js';
import { PredictionsService } from './predictions.service.js';

/** What was to be expected of sessions, beside what came. */
@Module({ imports: [KeptModule, ReadingsModule, WorkModule], controllers: [PredictionsController], providers: [PredictionsService] })
export class PredictionsModule {}
