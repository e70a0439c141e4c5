import type { ProblemReport } from '@vitrum/contract';
/** The server answered, and said no. */
export declare class ApiError extends Error {
  readonly status: number;
  readonly report: ProblemReport;
  constructor(status: number, report: ProblemReport);
}
/** The server did not answer. */
export declare class ServerAway extends Error {
  constructor();
}
/** A request to the API; throws `ApiError` or `ServerAway`. */
export declare const request: <T>(path: string, options?: RequestInit) => Promise<T>;
