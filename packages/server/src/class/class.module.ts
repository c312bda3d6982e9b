import { Module } from '@nestjs/common';
import { OverviewModule } from '../overview/overview.module.js';
import { ClassController } from './class.controller.js';

/** All athletes side by side. */
@Module({ imports: [OverviewModule], controllers: [ClassController] })
export class ClassModule {}
