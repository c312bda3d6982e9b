import { Module } from '@nestjs/common';
import { EffortModule } from '../effort/effort.module.js';
import { ReadingsModule } from '../readings/readings.module.js';
import { ChangesController } from './changes.controller.js';
import { ChangesService } from './changes.service.js';

/** What changed in six weeks, for one person or a group. */
@Module({ imports: [EffortModule, ReadingsModule], controllers: [ChangesController], providers: [ChangesService] })
export class ChangesModule {}
