import type { NextFunction, Request, Response } from 'express';

/**
 * Answers of the API are never kept by browsers: a job’s ETag names its design, so that a job whose status alone has changed
 * would be taken from what was kept.
 */
export const neverKept = (request: Request, response: Response, next: NextFunction): void => {
  response.setHeader('Cache-Control', 'no-store');
  delete request.headers['if-none-match'];
  next();
};
