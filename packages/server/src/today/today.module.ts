import { Module } from '@nestjs/common';
import { OverviewModule } from '../overview/overview.module.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

/** What is due. */
@Module({ imports: [OverviewModule], controllers: [TodayController], providers: [TodayService] })
export class TodayModule {}
