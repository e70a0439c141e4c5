import { HttpException, Injectable, Type, mixin, type PipeTransform } from '@nestjs/common';
import { maxDesignCharacters } from '@vitrum/core';
import { raw, type RequestHandler } from 'express';
import { Busy } from '../common/busy.js';
import { IntakePool } from './intake-pool.js';
import type { WireKind, WireRequests } from './wire-requests.js';

const asBytes = raw({ type: 'application/json', limit: maxDesignCharacters * 1.2 });

/**
 * Leaves the body of a request that carries a design as the bytes that came: they are parsed in another thread. One that
 * would have to wait too long there is not even collected.
 */
export const keepBytesOfDesigns =
  (pool: Pick<IntakePool, 'isFullFor'>): RequestHandler =>
  (request, response, next) => {
    if (request.method !== 'POST' && request.method !== 'PUT') return next();
    // A copy is asked for by its name alone.
    if (request.path.endsWith('/copies')) return next();
    if (pool.isFullFor(Number(request.headers['content-length'] ?? 0))) return next(new Busy());
    return asBytes(request, response, next);
  };

/** For `@Body(wireBody('save'))`: the body read and checked beside the thread that answers. */
export const wireBody = <Kind extends WireKind>(kind: Kind): Type<PipeTransform> => {
  @Injectable()
  class WireBody implements PipeTransform {
    constructor(private readonly pool: IntakePool) {}

    transform(body: unknown): Promise<WireRequests[Kind]> {
      if (!(body instanceof Uint8Array))
        throw new HttpException({ message: 'Send the body as JSON (content-type application/json).' }, 415);
      return this.pool.take(kind, body);
    }
  }
  return mixin(WireBody);
};
