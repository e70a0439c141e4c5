import { DynamicModule, Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { CatalogueController } from './catalogue/catalogue.controller.js';
import { CatalogueService } from './catalogue/catalogue.service.js';
import { ProblemFilter } from './common/problem.filter.js';
import { CONFIG, type Config } from './config.js';
import { DatabaseModule } from './database/database.module.js';
import { EvaluationService } from './evaluation/evaluation.service.js';
import { HealthController } from './health/health.controller.js';
import { JobsController } from './jobs/jobs.controller.js';
import { JobsService } from './jobs/jobs.service.js';
import { SeedService } from './seed/seed.service.js';

/** Requests a minute from one address; a page that saves on every edit stays far below. */
const requestsPerMinute = 1200;

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        {
          module: class ConfigModule {},
          global: true,
          providers: [{ provide: CONFIG, useValue: config }],
          exports: [CONFIG],
        },
        DatabaseModule,
        ThrottlerModule.forRoot([{ ttl: 60_000, limit: requestsPerMinute }]),
      ],
      controllers: [JobsController, CatalogueController, HealthController],
      providers: [
        CatalogueService,
        EvaluationService,
        JobsService,
        SeedService,
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: APP_GUARD, useClass: ThrottlerGuard },
      ],
    };
  }
}
