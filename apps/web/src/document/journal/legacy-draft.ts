import { readDraft, type Draft } from './draft';

/** Where earlier versions kept the one draft of a job. */
const keyOf = (jobId: string): string => `vitrum.draft.${jobId}`;

/** The page that such a draft is said to be of. */
export const legacyPage = 'before';

/** A draft that an earlier version of the page left behind, or null. */
export const legacyDraft = (jobId: string): Draft | null => {
  try {
    const text = localStorage.getItem(keyOf(jobId));
    return text === null ? null : readDraft({ ...(JSON.parse(text) as object), jobId, page: legacyPage });
  } catch {
    // No storage, or nothing that can be read in it.
    return null;
  }
};

export const dropLegacyDraft = (jobId: string): void => {
  try {
    localStorage.removeItem(keyOf(jobId));
  } catch {
    // A browser that keeps nothing has nothing to let go.
  }
};
