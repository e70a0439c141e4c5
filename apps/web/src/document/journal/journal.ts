import type { Design } from '@vitrum/core';
import type { Edits } from './draft';
import type { DraftStore } from './draft-store';

/** Whether what was last written is safe in the browser. */
export type Keeping = 'kept' | 'writing' | 'failed';

export interface Journal {
  /** Keeps the edits of a job, in place of what was kept of it before; written at once, the newest of many. */
  readonly write: (jobId: string, edits: Edits) => void;
  /** Lets the edits of a job go: the server has them. Later edits than `design` stay. */
  readonly drop: (jobId: string, design: Design) => void;
  /** Resolves once nothing is to be written any more. */
  readonly idle: () => Promise<void>;
}

/** Keeps edits of one page; `tell` hears how each job’s stand. */
export const createJournal = (
  store: Pick<DraftStore, 'put' | 'remove'>,
  page: string,
  tell: (jobId: string, keeping: Keeping) => void,
  now: () => number = Date.now,
): Journal => {
  /** The newest of each job with when it was made, and what is still to be done about it; null is to be let go. */
  const newest = new Map<string, { readonly design: Design; readonly at: number }>();
  const waiting = new Map<string, (Edits & { readonly at: number }) | null>();
  let working: Promise<void> | null = null;

  const work = async (): Promise<void> => {
    for (let [next] = waiting; next !== undefined; [next] = waiting) {
      const [jobId, edits] = next;
      waiting.delete(jobId);
      try {
        if (edits === null) await store.remove(jobId, page);
        else await store.put({ ...edits, jobId, page });
        if (!waiting.has(jobId)) tell(jobId, 'kept');
      } catch {
        if (!waiting.has(jobId)) tell(jobId, edits === null ? 'kept' : 'failed');
      }
    }
  };
  const begin = (): void => {
    working ??= work().finally(() => (working = null));
  };

  return {
    write: (jobId, edits) => {
      // Written again while it is sent, it is no newer than it was.
      const before = newest.get(jobId);
      const at = before?.design === edits.design ? before.at : now();
      newest.set(jobId, { design: edits.design, at });
      waiting.set(jobId, { ...edits, at });
      tell(jobId, 'writing');
      begin();
    },
    drop: (jobId, design) => {
      if (newest.has(jobId) && newest.get(jobId)?.design !== design) return;
      newest.delete(jobId);
      waiting.set(jobId, null);
      begin();
    },
    idle: async () => {
      while (working !== null) await working;
    },
  };
};
