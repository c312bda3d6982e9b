import { Module } from '@nestjs/common';
import { PersonsModule } from '../persons/persons.module.js';
import { MechanicsController } from './mechanics.controller.js';
import { MechanicsService } from './mechanics.service.js';

/** What postures ask of hands. */
@Module({ imports: [PersonsModule], controllers: [MechanicsController], providers: [MechanicsService] })
export class MechanicsModule {}
