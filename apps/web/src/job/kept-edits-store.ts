import { create } from 'zustand';
import type { Draft } from '../document/journal';

interface KeptEdits {
  readonly jobId: string;
  /** Edits of pages that were closed, beside those that are open now. */
  readonly drafts: readonly Draft[];
}

/** What earlier pages left of the open job, to be looked at. */
export const useKeptEdits = create<KeptEdits>(() => ({ jobId: '', drafts: [] }));
