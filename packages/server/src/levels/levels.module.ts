import { Module } from '@nestjs/common';
import { KeptModule } from '../kept/kept.module.js';
import { WorkModule } from '../work/work.module.js';
import { LevelsController } from './levels.controller.js';
import { LevelsService } from './levels.service.js';

/** Levels, gates and what comes next. */
@Module({
  imports: [KeptModule, WorkModule],
  controllers: [LevelsController],
  providers: [LevelsService],
  exports: [LevelsService],
})
export class LevelsModule {}
