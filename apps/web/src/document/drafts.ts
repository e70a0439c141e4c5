import { readDesign, type Design } from '@vitrum/core';
import { draftKey, type DraftStorage } from './draft-key';

export type { DraftStorage } from './draft-key';

/** Edits that the server does not have yet, kept in the browser until it does. */
export interface Draft {
  readonly design: Design;
  /** Hash of the revision that was edited. */
  readonly basedOn: string;
}

/** The draft of a job, or null when there is none that can be read. */
export const readDraft = (storage: DraftStorage, jobId: string): Draft | null => {
  const text = storage.getItem(draftKey(jobId));
  if (text === null) return null;
  try {
    const { design, basedOn } = JSON.parse(text) as { design?: unknown; basedOn?: unknown };
    const read = readDesign(design);
    return read.ok && typeof basedOn === 'string' ? { design: read.value, basedOn } : null;
  } catch {
    return null;
  }
};

export const writeDraft = (storage: DraftStorage, jobId: string, draft: Draft): void => {
  try {
    storage.setItem(draftKey(jobId), JSON.stringify(draft));
  } catch {
    // Storage full or forbidden: the edit still lives in the page and goes to the server as usual.
  }
};

export const dropDraft = (storage: DraftStorage, jobId: string): void => storage.removeItem(draftKey(jobId));
