import { Module } from '@nestjs/common';
import { KeptModule } from '../kept/kept.module.js';
import { LibraryModule } from '../library/library.module.js';
import { ReadingsModule } from '../readings/readings.module.js';
import { WorkModule } from '../work/work.module.js';
import { AnswerCallsService } from './answer-calls.service.js';
import { CallWorkService } from './call-work.service.js';
import { CallsController } from './calls.controller.js';
import { CallsService } from './calls.service.js';

/** Decisions that are proposed, and what a coach answers. */
@Module({
  imports: [KeptModule, LibraryModule, ReadingsModule, WorkModule],
  controllers: [CallsController],
  providers: [CallsService, AnswerCallsService, CallWorkService],
})
export class CallsModule {}
