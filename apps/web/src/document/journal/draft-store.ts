import type { DBSchema } from 'idb';
import { keptDatabase } from '../../api/kept-database';
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
  const database = keptDatabase<Kept>(
    name,
    1,
    (fresh) => void fresh.createObjectStore('drafts', { keyPath: ['jobId', 'page'] }).createIndex('job', 'jobId'),
  );
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
