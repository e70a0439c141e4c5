/** Where drafts are kept; the browser’s local storage, or a stand-in in tests. */
export type DraftStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** Where the draft of a job is kept. */
export const draftKey = (jobId: string): string => `vitrum.draft.${jobId}`;

/** Whether there are edits of a job that the server does not have, readable or not. */
export const hasDraft = (storage: DraftStorage, jobId: string): boolean => {
  try {
    return storage.getItem(draftKey(jobId)) !== null;
  } catch {
    // A browser that forbids its storage keeps no drafts either.
    return false;
  }
};
