import compression from 'compression';
import type { Request, Response } from 'express';

/** Answers are packed on their way; a stream of events is not, for it would wait until there is enough to pack. */
export const packed = compression({
  filter: (request: Request, response: Response) =>
    !String(response.getHeader('Content-Type') ?? '').startsWith('text/event-stream') &&
    compression.filter(request, response),
});
