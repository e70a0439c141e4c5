import { type Design } from '@vitrum/core';
/** Edits that the server does not have yet, kept in the browser until it does. */
export interface Draft {
  readonly design: Design;
  /** Hash of the revision that was edited. */
  readonly basedOn: string;
}
/** Where drafts are kept; the browser’s local storage, or a stand-in in tests. */
export type DraftStorage = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;
/** The draft of a job, or null when there is none that can be read. */
export declare const readDraft: (storage: DraftStorage, jobId: string) => Draft | null;
export declare const writeDraft: (storage: DraftStorage, jobId: string, draft: Draft) => void;
export declare const dropDraft: (storage: DraftStorage, jobId: string) => void;
