import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { ReadingsModule } from '../readings/readings.module.js';
import { EvidenceController } from './evidence.controller.js';
import { EvidenceService } from './evidence.service.js';
import { PersonsService } from './persons.service.js';

/** Athletes as the computations read them. */
@Module({
  imports: [LibraryModule, ReadingsModule],
  controllers: [EvidenceController],
  providers: [EvidenceService, PersonsService],
  exports: [PersonsService],
})
export class PersonsModule {}
