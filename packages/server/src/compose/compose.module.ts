import { Module } from '@nestjs/common';
import { EffortModule } from '../effort/effort.module.js';
import { LevelsModule } from '../levels/levels.module.js';
import { WorkModule } from '../work/work.module.js';
import { ComposeController } from './compose.controller.js';
import { ComposeService } from './compose.service.js';

/** Sequences made for somebody. */
@Module({
  imports: [EffortModule, LevelsModule, WorkModule],
  controllers: [ComposeController],
  providers: [ComposeService],
})
export class ComposeModule {}
