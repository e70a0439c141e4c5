import { randomUUID } from 'node:crypto';
import { Logger } from '@nestjs/common';
import type { NextFunction, Request, Response } from 'express';

const logger = new Logger('http');

/** Gives every request an id and logs it, once, when its answer has gone. */
export const requestLog = (request: Request, response: Response, next: NextFunction): void => {
  const requestId = randomUUID();
  const started = performance.now();
  response.setHeader('x-request-id', requestId);
  response.on('finish', () => {
    if (!request.originalUrl.startsWith('/api')) return;
    logger.log({
      requestId,
      method: request.method,
      // Without what is asked for behind it: a log is shown to others.
      path: request.originalUrl.split('?')[0],
      status: response.statusCode,
      ms: Math.round(performance.now() - started),
    });
  });
  next();
};
