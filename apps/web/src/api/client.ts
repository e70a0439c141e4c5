import type { ProblemReport } from '@vitrum/contract';

/** The server answered, and said no. */
export class ApiError extends Error {
  constructor(
    readonly status: number,
    readonly report: ProblemReport,
  ) {
    super(report.problems[0]?.message ?? report.message);
  }
}

/** The server did not answer. */
export class ServerAway extends Error {
  constructor() {
    super('The server does not answer.');
  }
}

const gone = new Set([502, 503, 504]);

/** A request to the API; throws `ApiError` or `ServerAway`. */
export const request = async <T>(path: string, options: RequestInit = {}): Promise<T> => {
  const headers = { ...(options.body === undefined ? {} : { 'content-type': 'application/json' }), ...options.headers };
  let response: Response;
  try {
    response = await fetch(`/api${path}`, { ...options, headers });
  } catch {
    throw new ServerAway();
  }
  if (gone.has(response.status)) throw new ServerAway();
  const body: unknown = await response.json().catch(() => null);
  if (!response.ok) {
    const report = body as ProblemReport | null;
    throw new ApiError(
      response.status,
      report ?? { statusCode: response.status, message: 'The server answered oddly.', problems: [], requestId: '' },
    );
  }
  return body as T;
};
