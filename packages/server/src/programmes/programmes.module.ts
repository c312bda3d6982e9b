import { Module } from '@nestjs/common';
import { EffortModule } from '../effort/effort.module.js';
import { WorkModule } from '../work/work.module.js';
import { EvaluateService } from './evaluate.service.js';
import { ProgrammesController } from './programmes.controller.js';
import { ProgrammesService } from './programmes.service.js';

/** Sequences over weeks. */
@Module({
  imports: [EffortModule, WorkModule],
  controllers: [ProgrammesController],
  providers: [ProgrammesService, EvaluateService],
})
export class ProgrammesModule {}
