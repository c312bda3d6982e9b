import { Module } from '@nestjs/common';
import { MethodsController } from './methods.controller.js';
import { MethodsService } from './methods.service.js';

/** Methods of the studio’s own. */
@Module({ controllers: [MethodsController], providers: [MethodsService] })
export class MethodsModule {}
