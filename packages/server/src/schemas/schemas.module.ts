import { Module } from '@nestjs/common';
import { SchemasController } from './schemas.controller.js';

/** The published schemas of the documents. */
@Module({ controllers: [SchemasController] })
export class SchemasModule {}
