import { Module } from '@nestjs/common';
import { ClassController } from './class.controller.js';
import { ClassService } from './class.service.js';

/** All athletes side by side. */
@Module({ controllers: [ClassController], providers: [ClassService] })
export class ClassModule {}
