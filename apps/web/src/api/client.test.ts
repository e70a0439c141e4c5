import { afterEach, describe, expect, it } from '@jest/globals';
import { demoDesigns } from '@vitrum/core';
import { ApiError, request, ServerAway } from './client';
import { createJob, listJobs, saveDesign } from './jobs';

const realFetch = globalThis.fetch;
afterEach(() => {
  globalThis.fetch = realFetch;
});

interface Call {
  readonly url: string;
  readonly options: RequestInit;
}

/** Answers every request alike and keeps what was asked. */
const answer = (status: number, body: string): Call[] => {
  const calls: Call[] = [];
  globalThis.fetch = (url, options = {}) => {
    calls.push({ url: url as string, options });
    return Promise.resolve(new Response(body, { status }));
  };
  return calls;
};

describe('requests to the server', () => {
  it('give back what it says', async () => {
    const calls = answer(200, '[]');
    await expect(listJobs()).resolves.toEqual({ jobs: [], next: null });
    expect(calls[0]?.url).toBe('/api/jobs');
  });

  it('send a design with the hash of what was edited', async () => {
    const calls = answer(200, '{}');
    await saveDesign('j1', demoDesigns.dispensary, 'abc');
    const { url, options } = calls[0]!;
    expect(url).toBe('/api/jobs/j1/design');
    expect(options.headers).toMatchObject({ 'If-Match': '"abc"', 'content-type': 'application/json' });
    expect(JSON.parse(options.body as string)).toEqual({ design: demoDesigns.dispensary });
  });

  it('send a new job by its name', async () => {
    const calls = answer(201, '{}');
    await createJob('Sign', demoDesigns.dispensary);
    expect(calls[0]?.options.method).toBe('POST');
    expect(JSON.parse(calls[0]?.options.body as string)).toMatchObject({ name: 'Sign' });
  });

  it('say what the server found wrong, the first problem before the summary', async () => {
    answer(
      400,
      JSON.stringify({
        statusCode: 400,
        message: 'No.',
        problems: [{ path: 'name', message: 'give the job a name' }],
        requestId: 'r',
      }),
    );
    const failure = await request('/jobs').catch((error: unknown) => error);
    expect(failure).toBeInstanceOf(ApiError);
    expect(failure).toMatchObject({ status: 400, message: 'give the job a name' });
  });

  it('tell a server that answers oddly from one that is away', async () => {
    answer(500, 'not json');
    await expect(request('/jobs')).rejects.toThrow('answered oddly');
    for (const status of [502, 503, 504]) {
      answer(status, '');
      await expect(request('/jobs')).rejects.toBeInstanceOf(ServerAway);
    }
    globalThis.fetch = () => Promise.reject(new TypeError('refused'));
    await expect(request('/jobs')).rejects.toBeInstanceOf(ServerAway);
  });
});
