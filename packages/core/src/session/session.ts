import { createEvaluator } from '../sign/evaluate/index.js';
import type { SessionReply, SessionRequest } from './protocol.js';
import { runEvaluate, runFixes } from './run-evaluate.js';
import { runMaps, runPack, runTake, runTakeLayers, runTakeLines } from './run-files.js';
import { runChoose, runCompare, runSolve, runSweep, runTrace } from './run-searches.js';
import type { Opened, Run, SessionHost } from './turns.js';

export type { SessionHost } from './turns.js';

type Working = Exclude<SessionRequest, { readonly kind: 'open' | 'cancel' | 'take' | 'take-lines' | 'take-layers' }>;

const work = (run: Run, request: Working): Promise<void> => {
  switch (request.kind) {
    case 'evaluate':
      return runEvaluate(run, request);
    case 'fixes':
      return runFixes(run, request);
    case 'pack':
      return runPack(run, request);
    case 'maps':
      return runMaps(run, request);
    case 'trace':
      return runTrace(run, request);
    case 'sweep':
      return runSweep(run, request);
    case 'solve':
      return runSolve(run, request);
    case 'choose':
      return runChoose(run, request);
    case 'compare':
      return runCompare(run, request);
  }
};

/**
 * A thread’s side of the protocol: one catalogue at a time, requests answered as they come. A newer `evaluate` ends the one
 * before and the trying of fixes; other work goes on until it is done or called off.
 */
export const createSession = (host: SessionHost) => {
  let opened: Opened | null = null;
  let newest = -1;
  /** Evaluations, and fixes being tried. */
  const overtakable = new Set<number>();
  const cancelled = new Set<number>();
  const isCancelled = (id: number): boolean => cancelled.has(id) || (overtakable.has(id) && id < newest);
  const { post } = host;

  const answer = async (request: SessionRequest): Promise<void> => {
    const { id } = request;
    if (request.kind === 'cancel') cancelled.add(id);
    else if (request.kind === 'take') await runTake(host, request);
    else if (request.kind === 'take-lines') await runTakeLines(host, request);
    else if (request.kind === 'take-layers') await runTakeLayers(host, request);
    else if (request.kind === 'open') {
      opened = { catalogue: request.catalogue, evaluator: createEvaluator(request.catalogue, host.fonts) };
      post({ kind: 'opened', id });
    } else if (opened === null) post({ kind: 'crashed', id, message: `${request.kind} came before open` });
    else {
      if (request.kind === 'evaluate') newest = Math.max(newest, id);
      if (request.kind === 'evaluate' || request.kind === 'fixes') overtakable.add(id);
      await work({ ...host, ...opened, isCancelled }, request);
    }
  };

  /** Handles one request to its end; never rejects. */
  return async (request: SessionRequest): Promise<void> => {
    try {
      await answer(request);
    } catch (error) {
      const message = error instanceof Error ? error.message : String(error);
      post({ kind: 'crashed', id: request.id, message } satisfies SessionReply);
    } finally {
      // What is over is asked after no more.
      if (request.kind !== 'cancel') {
        overtakable.delete(request.id);
        cancelled.delete(request.id);
      }
    }
  };
};
