import { openDB, type DBSchema, type IDBPDatabase } from 'idb';
import { readDraft, type Draft } from './draft';

/** Where drafts are kept. Each of its ways rejects when the browser keeps nothing, or does not answer. */
export interface DraftStore {
  readonly put: (draft: Draft) => Promise<void>;
  readonly remove: (jobId: string, page: string) => Promise<void>;
  readonly ofJob: (jobId: string) => Promise<readonly Draft[]>;
}

interface Kept extends DBSchema {
  readonly drafts: {
    readonly key: [string, string];
    readonly value: Draft;
    readonly indexes: { readonly job: string };
  };
}

/** A browser that has not answered by then is taken to keep nothing. */
const patienceMs = 3000;

const soon = <T>(work: Promise<T>): Promise<T> =>
  new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Error('the browser’s storage does not answer')), patienceMs);
    work.then(resolve, reject).finally(() => clearTimeout(timer));
  });

/** Drafts in the browser’s own database, which is written at once and outlives a browser that is killed. */
export const browserDraftStore = (name = 'vitrum'): DraftStore => {
  let opened: Promise<IDBPDatabase<Kept>> | null = null;
  // Async, for a browser that forbids its storage throws at once.
  const database = async (): Promise<IDBPDatabase<Kept>> => {
    opened ??= openDB<Kept>(name, 1, {
      upgrade: (fresh) =>
        void fresh.createObjectStore('drafts', { keyPath: ['jobId', 'page'] }).createIndex('job', 'jobId'),
      // Another version of the page wants it: let go, and open anew when it is next needed.
      blocking: (_now, _wanted, event) => {
        (event.target as IDBDatabase).close();
        opened = null;
      },
      terminated: () => (opened = null),
    });
    opened.catch(() => (opened = null));
    return opened;
  };
  return {
    put: (draft) => soon(database().then(async (drafts) => void (await drafts.put('drafts', draft)))),
    remove: (jobId, page) => soon(database().then((drafts) => drafts.delete('drafts', [jobId, page]))),
    ofJob: (jobId) =>
      soon(
        database().then(async (drafts) =>
          (await drafts.getAllFromIndex('drafts', 'job', jobId)).flatMap((each) => readDraft(each) ?? []),
        ),
      ),
  };
};
