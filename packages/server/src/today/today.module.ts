import { Module } from '@nestjs/common';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

/** What is due. */
@Module({ controllers: [TodayController], providers: [TodayService] })
export class TodayModule {}
