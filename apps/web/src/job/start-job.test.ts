import { afterEach, beforeEach, describe, expect, it } from '@jest/globals';
import { demoDesigns, shippedCatalogue } from '@vitrum/core';
import { queryClient } from '../api/query-client';
import { useEvaluation } from '../evaluation/evaluation-store';
import { headOf } from '../testing/open-design';
import { startJob } from './start-job';

/** What is posted to the one thread, which outlives a test. */
let asked: { readonly kind: string }[] = [];

/** Answers of the server that come when the test says so, and a thread that says nothing. */
const world = () => {
  const answers = new Map<string, (body: unknown) => void>();
  globalThis.fetch = (path) =>
    new Promise((resolve) =>
      answers.set(typeof path === 'string' ? path : '', (body) => resolve(new Response(JSON.stringify(body)))),
    );
  class SilentWorker {
    postMessage(message: { readonly kind: string }): void {
      asked.push(message);
    }
    terminate(): void {}
  }
  Object.assign(globalThis, { Worker: SilentWorker, localStorage: { getItem: () => null } });
  const answer = async (path: string, body: unknown): Promise<void> => {
    answers.get(path)!(body);
    for (let turn = 0; turn < 20; turn += 1) await new Promise((resolve) => setImmediate(resolve));
  };
  return { answer, evaluated: () => asked.filter(({ kind }) => kind === 'evaluate').length };
};

const kept = { fetch: globalThis.fetch };
beforeEach(() => {
  asked = [];
  useEvaluation.setState(useEvaluation.getInitialState(), true);
});
afterEach(() => {
  queryClient.clear();
  Object.assign(globalThis, kept, { Worker: undefined, localStorage: undefined });
});

describe('a job that is gone to', () => {
  it('is lit as soon as it and the shelf are there', async () => {
    const { answer, evaluated } = world();
    startJob('a');
    await answer('/api/jobs/a', { head: headOf(demoDesigns.dispensary) });
    expect(evaluated()).toBe(0);
    await answer('/api/catalogue', shippedCatalogue);
    expect([evaluated(), useEvaluation.getState().jobId]).toEqual([1, 'a']);
  });

  it('comes too late when another was gone to meanwhile', async () => {
    const { answer, evaluated } = world();
    startJob('a');
    startJob('b');
    await answer('/api/catalogue', shippedCatalogue);
    await answer('/api/jobs/b', { head: headOf(demoDesigns.curlew) });
    await answer('/api/jobs/a', { head: headOf(demoDesigns.dispensary) });
    expect([evaluated(), useEvaluation.getState().jobId]).toEqual([1, 'b']);
  });
});
