import { Module } from '@nestjs/common';
import { PicturesController } from './pictures.controller.js';
import { PicturesService } from './pictures.service.js';

/** Pictures that angles were read off. */
@Module({ controllers: [PicturesController], providers: [PicturesService] })
export class PicturesModule {}
