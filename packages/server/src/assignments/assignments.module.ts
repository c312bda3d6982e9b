import { Module } from '@nestjs/common';
import { AssignmentsController } from './assignments.controller.js';
import { AssignmentsService } from './assignments.service.js';

@Module({ controllers: [AssignmentsController], providers: [AssignmentsService] })
export class AssignmentsModule {}
