import { Module } from '@nestjs/common';
import { LibraryModule } from '../library/library.module.js';
import { MovementNamesController } from './movement-names.controller.js';
import { MovementNamesService } from './movement-names.service.js';
import { MovementsController } from './movements.controller.js';
import { MovementsService } from './movements.service.js';

/** Movements of the studio’s own, and what it calls all of them. */
@Module({
  imports: [LibraryModule],
  controllers: [MovementsController, MovementNamesController],
  providers: [MovementsService, MovementNamesService],
})
export class MovementsModule {}
