import { Module } from '@nestjs/common';
import { ReadingsModule } from '../readings/readings.module.js';
import { PersonsService } from './persons.service.js';

/** Athletes as the computations read them. */
@Module({ imports: [ReadingsModule], providers: [PersonsService], exports: [PersonsService] })
export class PersonsModule {}
