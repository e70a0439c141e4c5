import type { RevisionWithDesign, SaveConflict } from '@vitrum/contract';
import type { Design } from '@vitrum/core';
import { ApiError, ServerAway } from '../api/client';
import { takeRevision, useDocument, type SaveState } from './document-store';
import { dropDraft, writeDraft, type DraftStorage } from './drafts';

const quietMs = 700;
const firstRetryMs = 1000;
const longestRetryMs = 15_000;

/** What autosave needs from outside; tests bring their own. */
export interface AutosaveHost {
  readonly storage: DraftStorage;
  readonly save: (jobId: string, design: Design, basedOn: string) => Promise<RevisionWithDesign>;
  readonly after: (ms: number, work: () => void) => () => void;
}

const setSave = (save: SaveState): void => useDocument.setState({ save });

/**
 * Saves the open document a moment after each edit. While the server is away the edit waits in the browser’s storage and
 * is tried again, ever more seldom; nothing is dropped until the server has it. Returns a function that stops.
 */
export const startAutosave = ({ storage, save, after }: AutosaveHost): (() => void) => {
  let cancelTimer: () => void = () => undefined;
  let saving = false;
  let retryMs = firstRetryMs;

  const later = (ms: number): void => {
    cancelTimer();
    cancelTimer = after(ms, () => void push());
  };

  const settle = (jobId: string, sent: Design, saved: RevisionWithDesign): void => {
    const now = useDocument.getState();
    if (now.jobId !== jobId) return;
    const current = now.design === sent;
    useDocument.setState({
      basedOn: saved.hash,
      revision: saved.number,
      save: { kind: current ? 'saved' : 'unsaved' },
    });
    if (current) dropDraft(storage, jobId);
    else if (now.design !== null) {
      writeDraft(storage, jobId, { design: now.design, basedOn: saved.hash });
      later(quietMs);
    }
  };

  const fail = (jobId: string, error: unknown): void => {
    if (useDocument.getState().jobId !== jobId) return;
    if (error instanceof ServerAway) {
      setSave({ kind: 'away' });
      later(retryMs);
      retryMs = Math.min(longestRetryMs, retryMs * 2);
    } else if (error instanceof ApiError && error.status === 409) {
      const { head, yours } = error.report as SaveConflict;
      setSave({ kind: 'conflict', head, yours });
    } else {
      setSave({ kind: 'refused', message: error instanceof Error ? error.message : String(error) });
    }
  };

  const push = async (): Promise<void> => {
    const { jobId, design, basedOn, save: state } = useDocument.getState();
    if (saving || jobId === null || design === null || state.kind === 'conflict') return;
    saving = true;
    setSave({ kind: 'saving' });
    try {
      const saved = await save(jobId, design, basedOn);
      retryMs = firstRetryMs;
      saving = false;
      settle(jobId, design, saved);
    } catch (error) {
      saving = false;
      fail(jobId, error);
    }
  };

  const onEdit = (): void => {
    const { jobId, design, basedOn } = useDocument.getState();
    if (jobId === null || design === null) return;
    writeDraft(storage, jobId, { design, basedOn });
    later(quietMs);
  };

  const unsubscribe = useDocument.subscribe((state, before) => {
    if (state.save.kind !== 'unsaved') return;
    if (before.save.kind !== 'unsaved' || state.design !== before.design || state.jobId !== before.jobId) onEdit();
  });
  if (useDocument.getState().save.kind === 'unsaved') onEdit();
  return () => {
    unsubscribe();
    cancelTimer();
  };
};

/** Ends a conflict: my version goes on top of theirs, or theirs is taken; the other stays among the revisions. */
export const settleConflict = (choice: 'mine' | 'theirs'): void => {
  const { save } = useDocument.getState();
  if (save.kind !== 'conflict') return;
  const { head } = save;
  if (choice === 'theirs') takeRevision(head);
  else useDocument.setState({ basedOn: head.hash, revision: head.number, save: { kind: 'unsaved' } });
};
