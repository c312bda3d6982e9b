import { Module } from '@nestjs/common';
import { WorkModule } from '../work/work.module.js';
import { MeasureController } from './measure.controller.js';

/** What signals, readings and tests tell. */
@Module({ controllers: [MeasureController], imports: [WorkModule] })
export class MeasureModule {}
