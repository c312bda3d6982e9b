import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { WorkModule } from '../work/work.module.js';
import { SequencesController } from './sequences.controller.js';
import { SequencesService } from './sequences.service.js';

/** Sequences of the studio. */
@Module({
  imports: [LibraryModule, WorkModule],
  controllers: [SequencesController],
  providers: [SequencesService],
  exports: [SequencesService],
})
export class SequencesModule {}
