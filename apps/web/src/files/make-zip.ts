import type { Catalogue, Design } from '@vitrum/core';
import type { LightClient } from '../workers/clients';
import { refusalOf } from '../workers/meanings';

/** Drawings, lists and the design for the bench, or the light maps in full. */
export type ZipKind = 'pack' | 'maps';

/** A ZIP, and what its files cannot say. */
export interface MadeZip {
  readonly bytes: Uint8Array;
  readonly note: string | null;
}

/** A ZIP in the making; `cancel` ends it at once, and the promise then gives `null`. */
export interface Making {
  readonly zip: Promise<MadeZip | null>;
  readonly cancel: () => void;
}

/**
 * Makes a ZIP of a design in a thread of its own, which is ended with it: the page stays live meanwhile, and cancelling
 * waits for nothing.
 */
export const makeZip = (client: LightClient, catalogue: Catalogue, kind: ZipKind, design: Design): Making => {
  let cancel = (): void => undefined;
  const zip = new Promise<MadeZip | null>((resolve, reject) => {
    client.setUp('catalogue', { kind: 'open', catalogue });
    const callOff = client.ask({
      request: { kind, design },
      hear: (reply) => {
        const refusal = refusalOf(reply);
        if (reply.kind === 'packed') resolve({ bytes: reply.zip, note: reply.note });
        else if (refusal !== null) reject(new Error(refusal));
      },
      fail: (message) => reject(new Error(message)),
    });
    cancel = () => {
      callOff();
      resolve(null);
    };
  });
  return { zip, cancel: () => cancel() };
};
