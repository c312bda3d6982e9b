import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { WorkModule } from '../work/work.module.js';
import { LevelsController } from './levels.controller.js';
import { LevelsService } from './levels.service.js';

/** Levels, gates and what comes next. */
@Module({
  imports: [LibraryModule, WorkModule],
  controllers: [LevelsController],
  providers: [LevelsService],
  exports: [LevelsService],
})
export class LevelsModule {}
