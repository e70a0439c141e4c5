import type { Catalogue, Design, SessionReply, SessionRequest } from '@vitrum/core';

/** Drawings, lists and the design for the bench, or the light maps in full. */
export type ZipKind = 'pack' | 'maps';

/** The part of a worker that is used; tests bring a stand-in. */
export interface EndableThread {
  postMessage: (request: SessionRequest) => void;
  terminate: () => void;
  onmessage: ((event: MessageEvent<SessionReply>) => void) | null;
  onerror: ((event: ErrorEvent) => void) | null;
}

/** A ZIP in the making; `cancel` ends it at once, and the promise then gives `null`. */
export interface Making {
  readonly zip: Promise<Uint8Array | null>;
  readonly cancel: () => void;
}

/**
 * Makes a ZIP of a design in a thread of its own, which is ended with it: the page stays live meanwhile, and cancelling
 * waits for nothing.
 */
export const makeZip = (thread: EndableThread, catalogue: Catalogue, kind: ZipKind, design: Design): Making => {
  let cancel = (): void => undefined;
  const zip = new Promise<Uint8Array | null>((resolve, reject) => {
    cancel = () => resolve(null);
    thread.onerror = ({ message }) => reject(new Error(message));
    thread.onmessage = ({ data }) => {
      if (data.kind === 'packed') resolve(data.zip);
      else if (data.kind === 'refused') reject(new Error(data.problems[0]?.message ?? 'the design cannot be built'));
      else if (data.kind === 'crashed') reject(new Error(data.message));
    };
    thread.postMessage({ kind: 'open', id: 0, catalogue });
    thread.postMessage({ kind, id: 1, design });
  }).finally(() => thread.terminate());
  return { zip, cancel: () => cancel() };
};
