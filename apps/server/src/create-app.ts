import 'reflect-metadata';
import { existsSync } from 'node:fs';
import path from 'node:path';
import { ConsoleLogger, ValidationPipe } from '@nestjs/common';
import { NestFactory } from '@nestjs/core';
import type { NestExpressApplication } from '@nestjs/platform-express';
import { DocumentBuilder, SwaggerModule } from '@nestjs/swagger';
import { maxDesignCharacters } from '@vitrum/core';
import express, { type Request, type Response } from 'express';
import helmet from 'helmet';
import { AppModule } from './app.module.js';
import { badRequest, problemsOf } from './common/problems.js';
import { requestLog } from './common/request-log.js';
import type { Config } from './config.js';
import { DatabaseService } from './database/database.module.js';
import { SeedService } from './seed/seed.service.js';

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

/** The built web app, with every path that is no file answered by its page. */
const serveWeb = (app: NestExpressApplication, webRoot: string): void => {
  const page = path.join(webRoot, 'index.html');
  if (!existsSync(page)) return;
  app.use(express.static(webRoot, { index: false, maxAge: '1h' }));
  app.use((request: Request, response: Response, next: () => void) => {
    if (request.method !== 'GET' || request.path.startsWith('/api') || path.extname(request.path) !== '') next();
    else response.setHeader('Cache-Control', 'no-cache').sendFile(page, { dotfiles: 'allow' });
  });
};

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
  app.use(requestLog);
  app.use(security);
  app.useBodyParser('json', { limit: maxDesignCharacters * 1.2 });
  app.setGlobalPrefix('api');
  app.useGlobalPipes(
    new ValidationPipe({ whitelist: true, exceptionFactory: (errors) => badRequest(problemsOf(errors)) }),
  );
  describeApi(app);
  serveWeb(app, config.webRoot);
  app.enableShutdownHooks();
  await app.get(DatabaseService).setUp(() => app.get(SeedService).seed(config.seed));
  return app;
};
