import { Module } from '@nestjs/common';
import { ClassModule } from '../class/class.module.js';
import { TodayController } from './today.controller.js';
import { TodayService } from './today.service.js';

/** What is due. */
@Module({ imports: [ClassModule], controllers: [TodayController], providers: [TodayService] })
export class TodayModule {}
