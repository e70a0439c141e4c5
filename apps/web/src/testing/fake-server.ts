/** A request as the page sent it. */
export interface Asked {
  readonly method: string;
  readonly path: string;
  readonly body: unknown;
  readonly headers: Headers;
}

/** What the server says: a status and a body. */
export type Said = readonly [status: number, body: unknown];

/** Answers the page’s requests in place of a server, and notes them; `end` gives the page its own back. */
export const fakeServer = (answer: (asked: Asked) => Said) => {
  const asked: Asked[] = [];
  const before = globalThis.fetch;
  // The made-up document has no deadlines.
  if (!('timeout' in AbortSignal)) Object.assign(AbortSignal, { timeout: () => new AbortController().signal });
  globalThis.fetch = ((path: string, { method = 'GET', body, headers }: RequestInit = {}) => {
    const request = {
      method,
      path,
      body: typeof body === 'string' ? (JSON.parse(body) as unknown) : body,
      headers: new Headers(headers),
    };
    asked.push(request);
    const [status, said] = answer(request);
    return Promise.resolve({
      ok: status < 400,
      status,
      headers: new Headers(),
      text: () => Promise.resolve(JSON.stringify(said)),
    });
  }) as typeof fetch;
  return {
    asked,
    lines: (): readonly string[] => asked.map(({ method, path }) => `${method} ${path}`),
    end: (): void => {
      globalThis.fetch = before;
    },
  };
};

/** The body of an error. */
export const problem = (status: number, message: string, path = ''): Said => [
  status,
  { statusCode: status, message, problems: path === '' ? [] : [{ path, message }], requestId: 'x' },
];
