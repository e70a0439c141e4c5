import { DynamicModule, Module } from '@nestjs/common';
import { APP_FILTER, APP_GUARD } from '@nestjs/core';
import { ThrottlerGuard, ThrottlerModule } from '@nestjs/throttler';
import { BenchController } from './bench/bench.controller.js';
import { BenchService } from './bench/bench.service.js';
import { CatalogueController } from './catalogue/catalogue.controller.js';
import { CatalogueService } from './catalogue/catalogue.service.js';
import { RatesController } from './catalogue/rates.controller.js';
import { RatesService } from './catalogue/rates.service.js';
import { ShelfController } from './catalogue/shelf.controller.js';
import { ShelfService } from './catalogue/shelf.service.js';
import { ProblemFilter } from './common/problem.filter.js';
import { CONFIG, type Config } from './config.js';
import { DatabaseModule } from './database/database.module.js';
import { HealthController } from './health/health.controller.js';
import { IntakePool } from './intake/intake-pool.js';
import { JobsController } from './jobs/jobs.controller.js';
import { JobsService } from './jobs/jobs.service.js';
import { PapersService } from './papers/papers.service.js';
import { PlanController } from './plan/plan.controller.js';
import { PlanService } from './plan/plan.service.js';
import { QuotePool } from './quotes/quote-pool.js';
import { OffersController, QuotesController } from './quotes/quotes.controller.js';
import { QuotesService } from './quotes/quotes.service.js';
import { LessonsService } from './records/lessons.service.js';
import { LessonsController, RecordsController } from './records/records.controller.js';
import { RecordsService } from './records/records.service.js';
import { ShopFileController } from './shop-file/shop-file.controller.js';
import { ShopFileService } from './shop-file/shop-file.service.js';
import { StockController } from './stock/stock.controller.js';
import { LedgerService } from './stock/ledger.service.js';
import { StockListsService } from './stock/stock-lists.service.js';
import { StockPool } from './stock/stock-pool.js';
import { StockService } from './stock/stock.service.js';
import { SummariesService } from './summaries/summaries.service.js';
import { SummaryPool } from './summaries/summary-pool.js';
import { SweepPool } from './sweeps/sweep-pool.js';
import { SweepRunner } from './sweeps/sweep-runner.js';
import { SweepsController } from './sweeps/sweeps.controller.js';
import { SweepsService } from './sweeps/sweeps.service.js';
import { WorkerLine } from './sweeps/worker-line.js';
import { FontPool } from './fonts/font-pool.js';
import { FontsController } from './fonts/fonts.controller.js';
import { WallsController } from './walls/walls.controller.js';
import { WallsService } from './walls/walls.service.js';
import { SeedService } from './seed/seed.service.js';

const configModule = (config: Config): DynamicModule => ({
  module: class ConfigModule {},
  global: true,
  providers: [{ provide: CONFIG, useValue: config }],
  exports: [CONFIG],
});

/**
 * Requests a minute from one address. Behind a proxy a whole shop is one address: a hundred pages that save every two
 * seconds stay below. Against floods of costly requests stand the bounds of what is costly.
 */
const requestsPerMinute = 12_000;

@Module({})
export class AppModule {
  static with(config: Config): DynamicModule {
    return {
      module: AppModule,
      imports: [
        configModule(config),
        DatabaseModule,
        ThrottlerModule.forRoot([{ ttl: 60_000, limit: requestsPerMinute }]),
      ],
      controllers: [
        JobsController,
        CatalogueController,
        RatesController,
        ShelfController,
        StockController,
        BenchController,
        PlanController,
        QuotesController,
        OffersController,
        WallsController,
        FontsController,
        RecordsController,
        LessonsController,
        ShopFileController,
        SweepsController,
        HealthController,
      ],
      providers: [
        BenchService,
        CatalogueService,
        IntakePool,
        JobsService,
        SeedService,
        RatesService,
        ShelfService,
        QuotePool,
        QuotesService,
        WallsService,
        FontPool,
        RecordsService,
        LessonsService,
        ShopFileService,
        LedgerService,
        PapersService,
        PlanService,
        StockListsService,
        StockPool,
        StockService,
        SummariesService,
        SummaryPool,
        SweepsService,
        { provide: APP_FILTER, useClass: ProblemFilter },
        { provide: APP_GUARD, useClass: ThrottlerGuard },
      ],
    };
  }
}

/** What a worker process needs: the database, the catalogue, and nothing that listens. */
@Module({})
export class WorkerModule {
  static with(config: Config): DynamicModule {
    return {
      module: WorkerModule,
      imports: [configModule(config), DatabaseModule],
      providers: [CatalogueService, WorkerLine, SweepPool, SweepRunner],
    };
  }
}
