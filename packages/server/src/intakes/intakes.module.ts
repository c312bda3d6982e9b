import { Module } from '@nestjs/common';
import { IntakesController } from './intakes.controller.js';
import { IntakesService } from './intakes.service.js';

/** What athletes were asked before training. */
@Module({ controllers: [IntakesController], providers: [IntakesService], exports: [IntakesService] })
export class IntakesModule {}
