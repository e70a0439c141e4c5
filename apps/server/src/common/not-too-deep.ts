import { shapeProblem } from '@vitrum/core';
import type { RequestHandler } from 'express';
import { badRequest } from './problems.js';

/** Refuses what is nested deeper than anything that this program takes, before forms walk through it. */
export const notTooDeep: RequestHandler = (request, _response, next) => {
  const problem = request.body instanceof Uint8Array ? null : shapeProblem(request.body);
  next(problem === null ? undefined : badRequest([problem]));
};
