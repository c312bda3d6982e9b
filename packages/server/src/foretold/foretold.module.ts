import { Module } from '@nestjs/common';
import { KeptModule } from '../kept/kept.module.js';
import { ReadingsModule } from '../readings/readings.module.js';
import { WorkModule } from '../work/work.module.js';
import { ForetoldController } from './foretold.controller.js';
import { ForetoldService } from './foretold.service.js';

/** What was to be expected of sessions, beside what came. */
@Module({ imports: [KeptModule, ReadingsModule, WorkModule], controllers: [ForetoldController], providers: [ForetoldService] })
export class ForetoldModule {}
