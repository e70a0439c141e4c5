import type { Catalogue, Design, SessionReply, SessionRequest, SolvedSign } from '@vitrum/core';

/** The part of a worker that is used; tests bring a stand-in. */
export interface ChoosingThread {
  postMessage: (request: SessionRequest) => void;
  onmessage: ((event: MessageEvent<SessionReply>) => void) | null;
  terminate: () => void;
}

const startWorker = (): ChoosingThread =>
  new Worker(new URL('../evaluation/worker.ts', import.meta.url), { type: 'module', name: 'choosing' });

/** How it is done, and by what it is called off. */
export interface ChoosingOptions {
  readonly start?: () => ChoosingThread;
  readonly signal?: AbortSignal;
}

/**
 * An assembly of a design solved on a thread of its own, which ends with it. Fails with the sentence of what went wrong;
 * the design is then as it was.
 */
export const chooseDesign = (
  catalogue: Catalogue,
  design: Design,
  assembly: number,
  { start = startWorker, signal }: ChoosingOptions = {},
): Promise<SolvedSign> =>
  new Promise((resolve, reject) => {
    const thread = start();
    const end = (): void => thread.terminate();
    signal?.addEventListener('abort', () => {
      end();
      reject(new Error('called off'));
    });
    thread.onmessage = ({ data }) => {
      if (data.kind === 'chosen') resolve(data.solved);
      else if (data.kind === 'crashed') reject(new Error(data.message));
      else if (data.kind === 'refused') reject(new Error(data.problems.map(({ message }) => message).join('; ')));
      else return;
      end();
    };
    thread.postMessage({ kind: 'open', id: 0, catalogue });
    thread.postMessage({ kind: 'choose', id: 1, design, assembly });
  });
