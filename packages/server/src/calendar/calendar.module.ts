import { Module } from '@nestjs/common';
import { WorkModule } from '../work/work.module.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';

/** Programmes for calendars outside. */
@Module({ imports: [WorkModule], controllers: [CalendarController], providers: [CalendarService] })
export class CalendarModule {}
