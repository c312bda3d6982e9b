import { Module } from '@nestjs/common';
import { SchemasController } from './schemas.controller.js';

@Module({ controllers: [SchemasController] })
export class SchemasModule {}
