import { Module } from '@nestjs/common';
import { TerminusModule } from '@nestjs/terminus';
import { HealthController } from './health.controller.js';

/** Whether the server lives and is ready. */
@Module({ imports: [TerminusModule.forRoot({ logger: false })], controllers: [HealthController] })
export class HealthModule {}
