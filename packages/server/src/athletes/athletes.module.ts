import { Module } from '@nestjs/common';
import { AthletesController } from './athletes.controller.js';
import { AthletesService } from './athletes.service.js';

/** People of the studio. */
@Module({ controllers: [AthletesController], providers: [AthletesService] })
export class AthletesModule {}
