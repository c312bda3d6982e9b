import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { GradesController } from './grades.controller.js';
import { GradesService } from './grades.service.js';

/** Springs and bands that a studio owns. */
@Module({ imports: [LibraryModule], controllers: [GradesController], providers: [GradesService] })
export class GradesModule {}
