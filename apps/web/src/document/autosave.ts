import type { RevisionView, SaveConflict } from '@vitrum/contract';
import { canonicalJson, type Design } from '@vitrum/core';
import { ApiError, ServerAway } from '../api/client';
import { takeRevision, useDocument, type SaveState } from './document-store';
import type { Journal } from './journal/journal';

const quietMs = 700;
const firstRetryMs = 1000;
const longestRetryMs = 15_000;

/** What autosave needs from outside; tests bring their own. */
export interface AutosaveHost {
  readonly journal: Pick<Journal, 'write' | 'drop'>;
  /** `leaving`: the page may be gone before the answer comes. */
  readonly save: (jobId: string, design: Design, basedOn: string, leaving: boolean) => Promise<RevisionView>;
  readonly after: (ms: number, work: () => void) => () => void;
  /** Hears of saves of a job that is not open any more. */
  readonly savedLater?: (jobId: string) => void;
  readonly random?: () => number;
}

const setSave = (save: SaveState): void => useDocument.setState({ save });

/** How long to wait before a failed save is tried again (ms), or null where trying again would not help. */
const retryAfter = (error: unknown): number | null => {
  if (error instanceof ServerAway) return error.retryAfterMs ?? 0;
  if (!(error instanceof ApiError)) return null;
  const { status, retryAfterMs } = error;
  return status >= 500 || status === 408 || status === 425 || status === 429 ? (retryAfterMs ?? 0) : null;
};

/** Saves under way, by job: they go on when their page is left, and what is saved next goes on top of them. */
const underWay = new Map<string, Promise<{ readonly from: string; readonly to: string } | null>>();

export interface Autosave {
  /** Sends what is not saved now: the page may be about to go. */
  readonly leave: () => void;
  /** Ends it; what is not saved is sent. */
  readonly stop: () => void;
}

/**
 * Saves the open document a moment after each edit. Each edit is kept in the browser at once, and until the server has
 * it; while the server is away or too busy it is tried again, ever more seldom.
 */
export const startAutosave = (host: AutosaveHost): Autosave => {
  const { journal, save, after, savedLater, random = Math.random } = host;
  let cancelTimer: () => void = () => undefined;
  let isSending = false;
  /** What was sent and not answered: it is on its way, or got there though the answer did not come. */
  let unanswered: Design | null = null;
  let retryMs = firstRetryMs;
  let stopped = false;

  const later = (ms: number): void => {
    cancelTimer();
    cancelTimer = after(ms, () => void push());
  };

  const keep = (): void => {
    const { jobId, design, basedOn } = useDocument.getState();
    if (jobId !== null && design !== null) journal.write(jobId, { design, basedOn, sending: unanswered });
  };

  const settle = (jobId: string, sent: Design, saved: RevisionView): void => {
    journal.drop(jobId, sent);
    const now = useDocument.getState();
    if (stopped || now.jobId !== jobId) return savedLater?.(jobId);
    const current = now.design === sent;
    useDocument.setState({
      basedOn: saved.hash,
      revision: saved.number,
      save: { kind: current ? 'saved' : 'unsaved' },
    });
    if (current) return undefined;
    keep();
    return later(quietMs);
  };

  /** `before`: what was sent before this and not answered; met as the head, it is no conflict. */
  const fail = (jobId: string, error: unknown, before: Design | null): void => {
    if (stopped || useDocument.getState().jobId !== jobId) return;
    const waitMs = retryAfter(error);
    if (waitMs !== null) {
      setSave({ kind: 'away' });
      // Pages that lost the same server must not all come back at once.
      later(Math.max(waitMs, retryMs) * (0.75 + 0.5 * random()));
      retryMs = Math.min(longestRetryMs, retryMs * 2);
    } else if (error instanceof ApiError && error.status === 409) {
      const { head, yours } = error.report as SaveConflict;
      const isOwn = before !== null && canonicalJson(before) === canonicalJson(head.design);
      if (isOwn) useDocument.setState({ basedOn: head.hash, revision: head.number, save: { kind: 'unsaved' } });
      else setSave({ kind: 'conflict', head, yours });
    } else {
      setSave({ kind: 'refused', message: error instanceof Error ? error.message : String(error) });
    }
  };

  const push = async (leaving = false): Promise<void> => {
    const { jobId, design, basedOn, save: state } = useDocument.getState();
    if (isSending || jobId === null || design === null) return;
    if (state.kind === 'conflict' || state.kind === 'saved') return;
    cancelTimer();
    const before = unanswered;
    isSending = true;
    unanswered = design;
    // What is sent may arrive though its answer does not; the next page must be able to tell.
    keep();
    setSave({ kind: 'saving' });
    try {
      const earlier = underWay.get(jobId);
      const last = earlier === undefined ? null : await earlier;
      const on = last?.from === basedOn ? last.to : basedOn;
      const saving = save(jobId, design, on, leaving);
      const own = saving.then(
        ({ hash }) => ({ from: basedOn, to: hash }),
        () => null,
      );
      underWay.set(jobId, own);
      void own.then(() => underWay.get(jobId) === own && underWay.delete(jobId));
      const saved = await saving;
      retryMs = firstRetryMs;
      isSending = false;
      unanswered = null;
      settle(jobId, design, saved);
    } catch (error) {
      isSending = false;
      // Refused is answered: it did not get there.
      if (retryAfter(error) === null) unanswered = null;
      fail(jobId, error, before);
    }
  };

  const onEdit = (): void => {
    keep();
    later(quietMs);
  };

  const unsubscribe = useDocument.subscribe((state, before) => {
    // Edits beside a conflict wait for its end, and are kept meanwhile.
    if (state.save.kind === 'conflict' && state.design !== before.design) keep();
    if (state.save.kind !== 'unsaved') return;
    if (before.save.kind !== 'unsaved' || state.design !== before.design || state.jobId !== before.jobId) onEdit();
  });
  if (useDocument.getState().save.kind === 'unsaved') onEdit();
  return {
    leave: () => void push(true),
    stop: () => {
      void push();
      stopped = true;
      unsubscribe();
      cancelTimer();
    },
  };
};

/** Ends a conflict: my version goes on top of theirs, or theirs is taken; the other stays among the revisions. */
export const settleConflict = (choice: 'mine' | 'theirs', journal: Pick<Journal, 'drop'>): void => {
  const { save, jobId, design } = useDocument.getState();
  if (save.kind !== 'conflict' || jobId === null || design === null) return;
  const { head } = save;
  if (choice === 'mine') {
    useDocument.setState({ basedOn: head.hash, revision: head.number, save: { kind: 'unsaved' } });
    return;
  }
  // Mine is among the revisions; offered again, it would be saved again and again.
  journal.drop(jobId, design);
  takeRevision(head);
};
