import { Module } from '@nestjs/common';
import { KeptModule } from '../kept/kept.module.js';
import { LibraryModule } from '../library/library.module.js';
import { ReadingsModule } from '../readings/readings.module.js';
import { WorkModule } from '../work/work.module.js';
import { EvidenceController } from './evidence.controller.js';
import { EvidenceService } from './evidence.service.js';
import { PersonsService } from './persons.service.js';

/** Athletes as the computations read them. */
@Module({
  imports: [KeptModule, LibraryModule, ReadingsModule, WorkModule],
  controllers: [EvidenceController],
  providers: [EvidenceService, PersonsService],
  exports: [PersonsService],
})
export class PersonsModule {}
