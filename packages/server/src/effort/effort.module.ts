import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { PersonsModule } from '../persons/persons.module.js';
import { WorkModule } from '../work/work.module.js';
import { CircumstancesService } from './circumstances.service.js';
import { EffortController } from './effort.controller.js';
import { EffortService } from './effort.service.js';
import { PastController } from './past.controller.js';
import { PastService } from './past.service.js';

/** What sequences come to for somebody. */
@Module({
  imports: [LibraryModule, PersonsModule, WorkModule],
  controllers: [EffortController, PastController],
  providers: [EffortService, PastService, CircumstancesService],
  exports: [CircumstancesService],
})
export class EffortModule {}
