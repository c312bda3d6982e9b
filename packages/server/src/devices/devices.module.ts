import { Module } from '@nestjs/common';
import { AccountsModule } from '../accounts/accounts.module.js';
import { PersonsModule } from '../persons/persons.module.js';
import { SocketsModule } from '../sockets/sockets.module.js';
import { SimulatedStream } from './simulated-stream.js';

/** Devices that the house itself brings. */
@Module({ imports: [AccountsModule, PersonsModule, SocketsModule], providers: [SimulatedStream] })
export class DevicesModule {}
