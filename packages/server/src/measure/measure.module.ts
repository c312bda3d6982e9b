import { Module } from '@nestjs/common';
import { HeavyWork } from '../work/heavy-work.js';
import { MeasureController } from './measure.controller.js';

/** What signals, readings and tests tell. */
@Module({ controllers: [MeasureController], providers: [HeavyWork] })
export class MeasureModule {}
