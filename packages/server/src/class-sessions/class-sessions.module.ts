import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module.js';
import { EffortModule } from '../effort/effort.module.js';
import { LibraryModule } from '../library/library.module.js';
import { SessionsModule } from '../sessions/sessions.module.js';
import { SocketsModule } from '../sockets/sockets.module.js';
import { WorkModule } from '../work/work.module.js';
import { ClassRecords } from './class-records.js';
import { ClassSessionsController } from './class-sessions.controller.js';
import { ClassSessionsService } from './class-sessions.service.js';
import { RoomGuests } from './room-guests.js';
import { RoomsController } from './rooms.controller.js';
import { RoomStream } from './room-stream.js';

/** Classes that are led together, on several devices. */
@Module({
  imports: [AccountsModule, EffortModule, LibraryModule, SessionsModule, SocketsModule, WorkModule],
  controllers: [ClassSessionsController, RoomsController],
  providers: [ClassSessionsService, ClassRecords, RoomGuests, RoomStream],
})
export class ClassSessionsModule {}
