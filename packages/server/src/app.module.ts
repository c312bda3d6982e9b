import { type DynamicModule, Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { TerminusModule } from '@nestjs/terminus';
import { TypeOrmModule } from '@nestjs/typeorm';
import { SignInController } from './accounts/sign-in.controller.js';
import { SignInService } from './accounts/sign-in.service.js';
import { SignedInGuard } from './accounts/signed-in.guard.js';
import { AssignmentsController } from './assignments/assignments.controller.js';
import { AssignmentsService } from './assignments/assignments.service.js';
import { AthletesController } from './athletes/athletes.controller.js';
import { AthletesService } from './athletes/athletes.service.js';
import type { Config } from './config.js';
import { CONFIG } from './config.token.js';
import { dataSourceOptions } from './database/data-source.js';
import { EffortController } from './effort/effort.controller.js';
import { EffortService } from './effort/effort.service.js';
import { PastController } from './effort/past.controller.js';
import { PastService } from './effort/past.service.js';
import { HealthController } from './health/health.controller.js';
import { Clock } from './http/clock.js';
import { ProblemFilter } from './http/problem.filter.js';
import { MechanicsController } from './mechanics/mechanics.controller.js';
import { MechanicsService } from './mechanics/mechanics.service.js';
import { KnownService } from './methods/known.service.js';
import { MethodsController } from './methods/methods.controller.js';
import { MethodsService } from './methods/methods.service.js';
import { MovementsController } from './movements/movements.controller.js';
import { MovementsService } from './movements/movements.service.js';
import { ReadingsController } from './readings/readings.controller.js';
import { ReadingsService } from './readings/readings.service.js';
import { SchemasController } from './schemas/schemas.controller.js';
import { SequencesController } from './sequences/sequences.controller.js';
import { SequencesService } from './sequences/sequences.service.js';
import { SessionsController } from './sessions/sessions.controller.js';
import { SessionsService } from './sessions/sessions.service.js';
import { TodayController } from './today/today.controller.js';
import { TodayService } from './today/today.service.js';

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        TypeOrmModule.forRoot(dataSourceOptions(config.databaseUrl)),
        TerminusModule.forRoot({ logger: false }),
      ],
      controllers: [
        SignInController,
        AthletesController,
        ReadingsController,
        MovementsController,
        MethodsController,
        MechanicsController,
        EffortController,
        PastController,
        SequencesController,
        AssignmentsController,
        SessionsController,
        TodayController,
        HealthController,
        SchemasController,
      ],
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: APP_GUARD, useClass: SignedInGuard },
        Clock,
        SignInService,
        AthletesService,
        ReadingsService,
        MovementsService,
        MethodsService,
        KnownService,
        MechanicsService,
        EffortService,
        PastService,
        SequencesService,
        AssignmentsService,
        SessionsService,
        TodayService,
      ],
    };
  }
}
