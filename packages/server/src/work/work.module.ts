import { Module } from '@nestjs/common';
import { HeavyWork } from './heavy-work.js';

/** Threads for what takes long: one pool for the whole server. */
@Module({ providers: [HeavyWork], exports: [HeavyWork] })
export class WorkModule {}
