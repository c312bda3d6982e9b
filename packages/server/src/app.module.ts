import { type DynamicModule, Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD, APP_PIPE } from '@nestjs/core';
import { TypeOrmModule } from '@nestjs/typeorm';
import { AccountsModule } from './accounts/accounts.module.js';
import { AssignmentsModule } from './assignments/assignments.module.js';
import { AthletesModule } from './athletes/athletes.module.js';
import { SuggestionsModule } from './suggestions/suggestions.module.js';
import { CalendarModule } from './calendar/calendar.module.js';
import { ClassModule } from './class/class.module.js';
import { ClassSessionsModule } from './class-sessions/class-sessions.module.js';
import type { Config } from './config.js';
import { CONFIG } from './config.token.js';
import { dataSourceOptions } from './database/data-source.js';
import { DevicesModule } from './devices/devices.module.js';
import { ComposeModule } from './compose/compose.module.js';
import { EffortModule } from './effort/effort.module.js';
import { PredictionsModule } from './predictions/predictions.module.js';
import { HealthModule } from './health/health.module.js';
import { Clock } from './http/clock.js';
import { RequestPipe } from './http/request.pipe.js';
import { AnsweredBefore } from './http/unchanged.interceptor.js';
import { StrayQueryGuard } from './http/stray-query.guard.js';
import { ProblemFilter } from './http/problem.filter.js';
import { IntakesModule } from './intakes/intakes.module.js';
import { LevelsModule } from './levels/levels.module.js';
import { MeasureModule } from './measure/measure.module.js';
import { MechanicsModule } from './mechanics/mechanics.module.js';
import { MethodsModule } from './methods/methods.module.js';
import { GradesModule } from './grades/grades.module.js';
import { MovementsModule } from './movements/movements.module.js';
import { PicturesModule } from './pictures/pictures.module.js';
import { ChangesModule } from './changes/changes.module.js';
import { ProgrammesModule } from './programmes/programmes.module.js';
import { ReadingsModule } from './readings/readings.module.js';
import { SchemasModule } from './schemas/schemas.module.js';
import { ScreenModule } from './screen/screen.module.js';
import { SequencesModule } from './sequences/sequences.module.js';
import { SessionsModule } from './sessions/sessions.module.js';
import { TodayModule } from './today/today.module.js';

/** The house: a module for each noun. */
@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      global: true,
      imports: [
        TypeOrmModule.forRoot(dataSourceOptions(config.databaseUrl)),
        AccountsModule,
        AthletesModule,
        ReadingsModule,
        IntakesModule,
        SuggestionsModule,
        PredictionsModule,
        ClassModule,
        ClassSessionsModule,
        PicturesModule,
        ScreenModule,
        MeasureModule,
        DevicesModule,
        MovementsModule,
        GradesModule,
        MethodsModule,
        SequencesModule,
        AssignmentsModule,
        SessionsModule,
        TodayModule,
        LevelsModule,
        MechanicsModule,
        ComposeModule,
        ChangesModule,
        ProgrammesModule,
        CalendarModule,
        EffortModule,
        HealthModule,
        SchemasModule,
      ],
      providers: [
        { provide: CONFIG, useValue: config },
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: APP_GUARD, useClass: StrayQueryGuard },
        { provide: APP_PIPE, useClass: RequestPipe },
        Clock,
        AnsweredBefore,
      ],
      exports: [CONFIG, Clock, AnsweredBefore],
    };
  }
}
