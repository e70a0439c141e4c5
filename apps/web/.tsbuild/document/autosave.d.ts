import type { RevisionWithDesign } from '@vitrum/contract';
import type { Design } from '@vitrum/core';
import { type DraftStorage } from './drafts';
/** What autosave needs from outside; tests bring their own. */
export interface AutosaveHost {
  readonly storage: DraftStorage;
  readonly save: (jobId: string, design: Design, basedOn: string) => Promise<RevisionWithDesign>;
  readonly after: (ms: number, work: () => void) => () => void;
}
/**
 * Saves the open document a moment after each edit. While the server is away the edit waits in the browser’s storage and
 * is tried again, ever more seldom; nothing is dropped until the server has it. Returns a function that stops.
 */
export declare const startAutosave: ({ storage, save, after }: AutosaveHost) => () => void;
/** Ends a conflict: my version goes on top of theirs, or theirs is taken; the other stays among the revisions. */
export declare const settleConflict: (choice: 'mine' | 'theirs') => void;
