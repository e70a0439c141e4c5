import type { ProblemReport } from '@vitrum/contract';

/** The server answered, and said no. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly report: ProblemReport,
    /** When it is worth trying again, if the server says so (ms). */
    readonly retryAfterMs: number | null = null,
  ) {
    super(report.problems[0]?.message ?? report.message);
  }
}

/** The server did not answer. */
export class ServerAway extends Error {
  constructor(readonly retryAfterMs: number | null = null) {
    super('The server does not answer.');
  }
}

const gone = new Set([502, 503, 504]);

/** A server that has not answered by then is taken to be away (ms); saves are tried again, and are such that they may be. */
const patienceMs = 20_000;

const retryAfterOf = (response: Response): number | null => {
  const seconds = Number(response.headers.get('retry-after') ?? '');
  return seconds > 0 ? 1000 * seconds : null;
};

const parsed = (text: string): unknown => {
  try {
    return JSON.parse(text);
  } catch {
    return null;
  }
};

interface Answer<T> {
  readonly body: T;
  readonly headers: Headers;
}

/** A request to the API with the headers of its answer; throws `ApiError` or `ServerAway`. */
export const ask = async <T>(path: string, options: RequestInit = {}): Promise<Answer<T>> => {
  const headers = { ...(options.body === undefined ? {} : { 'content-type': 'application/json' }), ...options.headers };
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { signal: AbortSignal.timeout(patienceMs), ...options, headers });
  } catch {
    throw new ServerAway();
  }
  if (gone.has(response.status)) throw new ServerAway(retryAfterOf(response));
  const text = await response.text().catch(() => {
    throw new ServerAway();
  });
  const body = parsed(text);
  if (!response.ok) {
    const report = body as ProblemReport | null;
    throw new ApiError(
      response.status,
      report ?? { statusCode: response.status, message: 'The server answered oddly.', problems: [], requestId: '' },
      retryAfterOf(response),
    );
  }
  return { body: body as T, headers: response.headers };
};

/** A request to the API; throws `ApiError` or `ServerAway`. */
export const request = async <T>(path: string, options: RequestInit = {}): Promise<T> =>
  (await ask<T>(path, options)).body;
