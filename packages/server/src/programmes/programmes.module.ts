import { Module } from '@nestjs/common';
import { EffortModule } from '../effort/effort.module.js';
import { WorkModule } from '../work/work.module.js';
import { LevelsModule } from '../levels/levels.module.js';
import { LibraryModule } from '../library/library.module.js';
import { SequencesModule } from '../sequences/sequences.module.js';
import { ProgrammeFilesService } from './programme-files.service.js';
import { CopiesController } from './copies.controller.js';
import { CopiesService } from './copies.service.js';
import { EvaluateService } from './evaluate.service.js';
import { ProgrammesController } from './programmes.controller.js';
import { ProgrammesService } from './programmes.service.js';

/** Sequences over weeks. */
@Module({
  imports: [EffortModule, LevelsModule, LibraryModule, SequencesModule, WorkModule],
  controllers: [ProgrammesController, CopiesController],
  providers: [ProgrammesService, ProgrammeFilesService, EvaluateService, CopiesService],
})
export class ProgrammesModule {}
