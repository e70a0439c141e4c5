import { ArgumentsHost, Catch, ExceptionFilter, HttpException, HttpStatus, Logger } from '@nestjs/common';
import type { ProblemReport } from '@vitrum/contract';
import type { Request, Response } from 'express';

const bodyOf = (exception: HttpException): Record<string, unknown> => {
  const body = exception.getResponse();
  return typeof body === 'string' ? { message: body } : (body as Record<string, unknown>);
};

/** Errors raised below Nest (body parser) carry a status of their own. */
const statusOf = (exception: unknown): number => {
  if (exception instanceof HttpException) return exception.getStatus();
  const status = (exception as { status?: unknown } | null)?.status;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : HttpStatus.INTERNAL_SERVER_ERROR;
};

const parserMessages: Readonly<Record<number, string>> = {
  400: 'The body is not valid JSON.',
  413: 'The body is too large; a design is far smaller.',
};

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
    if (statusCode >= 500)
      this.logger.error({
        requestId,
        url: request.originalUrl,
        error: String(exception),
        stack: (exception as Error | null)?.stack,
      });
    const body = exception instanceof HttpException ? bodyOf(exception) : {};
    const message = sentenceOf(body['message'], statusCode);
    const report: ProblemReport = { problems: [], ...body, statusCode, message, requestId };
    if (!response.headersSent) response.status(statusCode).json(report);
  }
}
