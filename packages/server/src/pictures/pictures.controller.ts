import { ById, PictureAddress, PictureInput, type StoredPicture } from '@clay-pot/contracts';
import { Body, Controller, Delete, Get, Header, HttpCode, Param, Put, StreamableFile } from '@nestjs/common';
import { ApiOperation } from '@nestjs/swagger';
import { Studio } from '../accounts/signed-in.guard.js';
import { StudioScope } from '../database/studio-scope.js';
import { PicturesService } from './pictures.service.js';

/** Pictures that angles were read off, kept with consent. */
@Controller('athletes/:id/pictures')
export class PicturesController {
  constructor(private readonly pictures: PicturesService) {}

  @Get()
  list(@Studio() scope: StudioScope, @Param() { id }: ById): Promise<StoredPicture[]> {
    return this.pictures.list(scope, id);
  }

  @Get(':pictureId')
  @Header('cache-control', 'no-store')
  @ApiOperation({ summary: 'The picture itself, JPEG.' })
  async bytes(@Studio() scope: StudioScope, @Param() { id, pictureId }: PictureAddress): Promise<StreamableFile> {
    return new StreamableFile(await this.pictures.bytes(scope, id, pictureId), { type: 'image/jpeg' });
  }

  @Put(':pictureId')
  @ApiOperation({ summary: 'Stores a picture, with who agreed to it.' })
  add(@Studio() scope: StudioScope, @Param() { id, pictureId }: PictureAddress, @Body() body: PictureInput): Promise<StoredPicture> {
    return this.pictures.add(scope, id, pictureId, body);
  }

  @Delete(':pictureId')
  @HttpCode(204)
  @ApiOperation({ summary: 'Withdraws consent and deletes the picture.' })
  remove(@Studio() scope: StudioScope, @Param() { id, pictureId }: PictureAddress): Promise<void> {
    return this.pictures.remove(scope, id, pictureId);
  }
}
