import type { LogEntryView } from '@vitrum/contract';
import type { LogEntry } from '@vitrum/core';
import type { DBSchema } from 'idb';
import { keptDatabase } from '../api/kept-database';

/** An entry that the server does not have yet. */
export interface Waiting {
  readonly jobId: string;
  readonly entry: LogEntry;
  /** The photograph that the entry tells of. */
  readonly photo: Blob | null;
  /** Counts up: what was written first is sent first. */
  readonly place: number;
}

/** What the server is known to have of a job. */
export interface KnownLog {
  readonly jobId: string;
  readonly entries: readonly LogEntryView[];
}

/** Where entries wait for the network, and what was heard of others is kept. */
export interface Outbox {
  readonly put: (waiting: Waiting) => Promise<void>;
  readonly drop: (id: string) => Promise<void>;
  readonly all: () => Promise<readonly Waiting[]>;
  readonly keep: (known: KnownLog) => Promise<void>;
  readonly known: (jobId: string) => Promise<readonly LogEntryView[]>;
}

/** A photograph lies as bytes: not every browser keeps a Blob. */
interface Stored extends Omit<Waiting, 'photo'> {
  readonly id: string;
  readonly photo: { readonly type: string; readonly bytes: ArrayBuffer } | null;
}

interface Kept extends DBSchema {
  readonly waiting: { readonly key: string; readonly value: Stored };
  readonly known: { readonly key: string; readonly value: KnownLog };
}

/** The outbox of this browser, which outlives the page and the browser. */
export const browserOutbox = (name = 'vitrum-bench'): Outbox => {
  const database = keptDatabase<Kept>(name, 1, (fresh) => {
    fresh.createObjectStore('waiting', { keyPath: 'id' });
    fresh.createObjectStore('known', { keyPath: 'jobId' });
  });
  return {
    put: async ({ photo, ...waiting }) => {
      const bytes = photo === null ? null : { type: photo.type, bytes: await photo.arrayBuffer() };
      await (await database()).put('waiting', { ...waiting, id: waiting.entry.id, photo: bytes });
    },
    drop: async (id) => (await database()).delete('waiting', id),
    all: async () =>
      (await (await database()).getAll('waiting'))
        .map(({ id: _id, photo, ...waiting }) => ({
          ...waiting,
          photo: photo === null ? null : new Blob([photo.bytes], { type: photo.type }),
        }))
        .sort((a, b) => a.place - b.place),
    keep: async (known) => void (await (await database()).put('known', known)),
    known: async (jobId) => (await (await database()).get('known', jobId))?.entries ?? [],
  };
};
