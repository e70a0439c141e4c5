import { ArgumentsHost, Catch, ExceptionFilter, HttpException, HttpStatus, Logger } from '@nestjs/common';
import type { ProblemReport } from '@vitrum/contract';
import { isAboutData, isAway } from '../database/away.js';
import type { Request, Response } from 'express';

const bodyOf = (exception: HttpException): Record<string, unknown> => {
  const body = exception.getResponse();
  return typeof body === 'string' ? { message: body } : (body as Record<string, unknown>);
};

/** Errors raised below Nest (body parser) carry a status of their own; those of the database tell whose fault they are. */
const statusOf = (exception: unknown): number => {
  if (exception instanceof HttpException) return exception.getStatus();
  if (isAway(exception)) return HttpStatus.SERVICE_UNAVAILABLE;
  if (isAboutData(exception)) return HttpStatus.BAD_REQUEST;
  const status = (exception as { status?: unknown } | null)?.status;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : HttpStatus.INTERNAL_SERVER_ERROR;
};

const parserMessages: Readonly<Record<number, string>> = {
  400: 'The body is not valid JSON.',
  413: 'The body is too large; a design is far smaller.',
};

const databaseMessages: Readonly<Record<number, string>> = {
  400: 'Something in this request cannot be stored as it is.',
  503: 'The database does not answer just now; nothing is lost, try again in a moment.',
};

/** After so long it is worth trying again (s). */
const tryAgainAfterS = 2;

/** The parser's own words about broken JSON say little to a person; they follow in brackets. */
const sentenceOf = (message: unknown, statusCode: number): string => {
  if (typeof message !== 'string') return parserMessages[statusCode] ?? 'Something went wrong here; it has been noted.';
  return statusCode === 400 && /\bJSON\b/.test(message) ? `The body is not valid JSON (${message}).` : message;
};

/** Every error leaves as one shape, with a sentence, the places, and the request’s id. */
@Catch()
export class ProblemFilter implements ExceptionFilter {
  private readonly logger = new Logger('http');

  catch(exception: unknown, host: ArgumentsHost): void {
    const response = host.switchToHttp().getResponse<Response>();
    const request = host.switchToHttp().getRequest<Request>();
    const statusCode = statusOf(exception);
    const requestId = String(response.getHeader('x-request-id') ?? '');
    const fromDatabase = !(exception instanceof HttpException) && (isAway(exception) || isAboutData(exception));
    if (statusCode >= 500) this.note(exception, requestId, request);
    if (statusCode === 503 && !response.headersSent) response.setHeader('Retry-After', tryAgainAfterS);
    const body = exception instanceof HttpException ? bodyOf(exception) : {};
    const message = fromDatabase ? databaseMessages[statusCode]! : sentenceOf(body['message'], statusCode);
    const report: ProblemReport = { problems: [], ...body, statusCode, message, requestId };
    if (!response.headersSent) response.status(statusCode).json(report);
  }

  /** In a log that people may be shown: what failed and where, not what it failed on. */
  private note(exception: unknown, requestId: string, { method, path }: Request): void {
    const cause = (exception as { cause?: unknown } | null)?.cause ?? exception;
    const { message, name, stack } = cause instanceof Error ? cause : new Error(String(cause));
    const where = (stack ?? '').split('\n').filter((line) => /^\s+at /.test(line));
    this.logger.error({
      requestId,
      method,
      path,
      error: name,
      message: message.slice(0, 200),
      where: where.slice(0, 8),
    });
  }
}
