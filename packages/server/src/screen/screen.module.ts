import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { PersonsModule } from '../persons/persons.module.js';
import { ScreenController } from './screen.controller.js';
import { ScreenService } from './screen.service.js';

/** What answers about health lead to. */
@Module({ imports: [LibraryModule, PersonsModule], controllers: [ScreenController], providers: [ScreenService] })
export class ScreenModule {}
