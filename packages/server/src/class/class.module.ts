import { Module } from '@nestjs/common';
import { ReadingsModule } from '../readings/readings.module.js';
import { ClassController } from './class.controller.js';
import { ClassService } from './class.service.js';

/** All athletes side by side. */
@Module({ imports: [ReadingsModule], controllers: [ClassController], providers: [ClassService], exports: [ClassService] })
export class ClassModule {}
