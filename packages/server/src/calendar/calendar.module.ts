import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { CalendarController } from './calendar.controller.js';
import { CalendarService } from './calendar.service.js';

/** Programmes for calendars outside. */
@Module({ imports: [LibraryModule], controllers: [CalendarController], providers: [CalendarService] })
export class CalendarModule {}
