import { readDesign, type Design } from '@vitrum/core';

/** Edits that the server does not have yet. */
export interface Edits {
  readonly design: Design;
  /** Hash of the revision that was edited. */
  readonly basedOn: string;
  /** What was on its way to the server when this was written; it may have got there. */
  readonly sending: Design | null;
}

/** Edits as they are kept in the browser: one entry for each job and page. */
export interface Draft extends Edits {
  readonly jobId: string;
  readonly page: string;
  /** When they were made (ms since 1970). */
  readonly at: number;
}

/** A stored entry as a draft of this version; null for what is none. */
export const readDraft = (stored: unknown): Draft | null => {
  if (typeof stored !== 'object' || stored === null) return null;
  const { jobId, page, design, basedOn, sending, at } = stored as Partial<Readonly<Record<keyof Draft, unknown>>>;
  const read = readDesign(design);
  if (!read.ok || typeof jobId !== 'string' || typeof page !== 'string' || typeof basedOn !== 'string') return null;
  const sent = readDesign(sending);
  return {
    jobId,
    page,
    basedOn,
    design: read.value,
    sending: sent.ok ? sent.value : null,
    at: typeof at === 'number' ? at : 0,
  };
};
