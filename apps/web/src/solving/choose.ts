import type { Catalogue, Design, SolvedSign } from '@vitrum/core';
import { workers, type LightClient } from '../workers/clients';
import { refusalOf } from '../workers/meanings';

/** How it is done, and by what it is called off. */
export interface ChoosingOptions {
  readonly client?: LightClient;
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
  { client = workers.choosing, signal }: ChoosingOptions = {},
): Promise<SolvedSign> =>
  new Promise((resolve, reject) => {
    client.setUp('catalogue', { kind: 'open', catalogue });
    const callOff = client.ask({
      request: { kind: 'choose', design, assembly },
      hear: (reply) => {
        const refusal = refusalOf(reply);
        if (reply.kind === 'chosen') resolve(reply.solved);
        else if (refusal !== null) reject(new Error(refusal));
      },
      fail: (message) => reject(new Error(message)),
    });
    signal?.addEventListener('abort', () => {
      callOff();
      reject(new Error('called off'));
    });
  });
