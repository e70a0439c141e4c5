import 'reflect-metadata';
import { ConsoleLogger, ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import { json, raw } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { allowedMethods } from './common/allowed-methods.js';
import { badRequest, problemsOf } from './common/problems.js';
import { knownHosts } from './common/known-hosts.js';
import { neverKept } from './common/never-kept.js';
import { notTooDeep } from './common/not-too-deep.js';
import { packed } from './common/packed.js';
import { requestLog } from './common/request-log.js';
import { serveWeb } from './common/serve-web.js';
import type { Config } from './config.js';
import { DatabaseService } from './database/database.module.js';
import { IntakePool } from './intake/intake-pool.js';
import { keepBytesOfDesigns } from './intake/wire-body.js';
import { SeedService } from './seed/seed.service.js';
import { SummariesService } from './summaries/summaries.service.js';

const security = helmet({
  contentSecurityPolicy: {
    directives: {
      defaultSrc: ["'self'"],
      scriptSrc: ["'self'", "'wasm-unsafe-eval'"],
      workerSrc: ["'self'", 'blob:'],
      imgSrc: ["'self'", 'data:', 'blob:'],
      styleSrc: ["'self'", "'unsafe-inline'"],
      // Served over plain HTTP on loopback: an upgrade would break the page.
      upgradeInsecureRequests: null,
    },
  },
  strictTransportSecurity: false,
});

/** What carries no design is short. */
const mostBodyBytes = 64_000;
/** A list of the shelf is text of up to half a million characters. */
const mostFileBytes = 2_200_000;
/** A plan of two hundred jobs, each step with its time. */
const mostPlanBytes = 1_200_000;

/** A photograph, made smaller by the page that sends it. */
const mostPhotoBytes = 4_000_000;
/** A packed font of letters for signs is far smaller. */
const mostFontBytes = 2_000_000;

const describeApi = (app: NestExpressApplication): void => {
  const description = new DocumentBuilder()
    .setTitle('Vitrum')
    .setDescription('Jobs, design revisions and the catalogue of a sign shop.')
    .setVersion('1')
    .build();
  SwaggerModule.setup('api/docs', app, SwaggerModule.createDocument(app, description), {
    jsonDocumentUrl: 'api/docs.json',
  });
};

/** The whole server, migrated and seeded, not yet listening. */
export const createApp = async (config: Config, quiet = false): Promise<NestExpressApplication> => {
  const app = await NestFactory.create<NestExpressApplication>(AppModule.with(config), {
    logger: quiet ? false : new ConsoleLogger({ json: true }),
    bodyParser: false,
    abortOnError: false,
  });
  app.set('trust proxy', [...config.proxies]);
  app.use(requestLog);
  app.use(knownHosts(config));
  app.use(security);
  app.use(packed);
  app.use(allowedMethods(app));
  app.use('/api', neverKept);
  app.use(['/api/jobs', '/api/sweeps'], keepBytesOfDesigns(app.get(IntakePool)));
  app.use('/api/catalogue/:kind/import', json({ limit: mostFileBytes }));
  app.use('/api/bench/:jobId/photos', raw({ type: ['image/jpeg', 'image/png'], limit: mostPhotoBytes }));
  app.use('/api/walls/:jobId/photo', raw({ type: 'image/png', limit: mostPhotoBytes }));
  app.use('/api/fonts/unpack', raw({ type: 'font/woff2', limit: mostFontBytes }));
  app.use('/api/plan', json({ limit: mostPlanBytes }));
  app.useBodyParser('json', { limit: mostBodyBytes });
  app.use(notTooDeep);
  app.setGlobalPrefix('api');
  app.useGlobalPipes(
    new ValidationPipe({ whitelist: true, exceptionFactory: (errors) => badRequest(problemsOf(errors)) }),
  );
  describeApi(app);
  serveWeb(app, config.webRoot);
  app.enableShutdownHooks();
  await app.get(DatabaseService).setUp(() => app.get(SeedService).seed(config.seed));
  await app.get(SummariesService).start();
  return app;
};
