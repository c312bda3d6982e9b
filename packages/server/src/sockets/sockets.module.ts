import { Module } from '@nestjs/common';
import { SocketDoor } from './socket-door.js';

/** Sockets, whatever goes over them. */
@Module({ providers: [SocketDoor], exports: [SocketDoor] })
export class SocketsModule {}
