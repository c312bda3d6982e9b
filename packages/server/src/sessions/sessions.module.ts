import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { PersonsModule } from '../persons/persons.module.js';
import { SessionsController } from './sessions.controller.js';
import { SessionsService } from './sessions.service.js';
import { RunningSessions } from './running-sessions.js';
import { SetQueue } from './set-queue.js';
import { ReportsService } from './reports.service.js';

/** Sessions that were led. */
@Module({
  imports: [LibraryModule, PersonsModule],
  controllers: [SessionsController],
  providers: [SessionsService, ReportsService, SetQueue, RunningSessions],
  exports: [SessionsService, ReportsService],
})
export class SessionsModule {}
