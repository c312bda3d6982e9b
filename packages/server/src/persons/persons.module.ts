import { Module } from '@nestjs/common';
import { ReadingsModule } from '../readings/readings.module.js';
import { PersonsService } from './persons.service.js';

@Module({ imports: [ReadingsModule], providers: [PersonsService], exports: [PersonsService] })
export class PersonsModule {}
