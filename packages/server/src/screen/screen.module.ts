import { Module } from '@nestjs/common';
import { WorkModule } from '../work/work.module.js';
import { PersonsModule } from '../persons/persons.module.js';
import { ScreenController } from './screen.controller.js';
import { ScreenService } from './screen.service.js';

/** What answers about health lead to. */
@Module({ imports: [WorkModule, PersonsModule], controllers: [ScreenController], providers: [ScreenService] })
export class ScreenModule {}
