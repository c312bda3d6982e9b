import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { MovementsController } from './movements.controller.js';
import { MovementsService } from './movements.service.js';

/** Movements of the studio’s own. */
@Module({ imports: [LibraryModule], controllers: [MovementsController], providers: [MovementsService] })
export class MovementsModule {}
