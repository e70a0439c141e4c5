import type { LogEntryView, LogView } from '@vitrum/contract';
import type { LogEntry } from '@vitrum/core';
import { createStore, type StoreApi } from 'zustand/vanilla';
import { ApiError } from '../api/client';
import type { Outbox, Waiting } from './outbox';

const sentAtOnce = 20;
const askAgainMs = 6000;
const firstRetryMs = 1500;
const longestRetryMs = 30_000;

/** What was written down of the job that is looked at, and how it stands to the server. */
export interface LogState {
  readonly jobId: string | null;
  /** What the server has. */
  readonly known: readonly LogEntryView[];
  /** What it does not have yet, of every job. */
  readonly waiting: readonly Waiting[];
  /** The server does not answer. */
  readonly away: boolean;
  /** The browser keeps nothing: what waits goes with the page. */
  readonly unkept: boolean;
  /** What the server would not take, and why. */
  readonly refused: readonly { readonly entry: LogEntry; readonly why: string }[];
}

/** What a bench log needs from outside; tests bring their own. */
export interface BenchLogHost {
  readonly outbox: Outbox;
  readonly read: (jobId: string, after: number) => Promise<LogView>;
  readonly add: (jobId: string, entries: readonly LogEntry[]) => Promise<readonly LogEntryView[]>;
  readonly sendPhoto: (jobId: string, id: string, photo: Blob) => Promise<void>;
  readonly after: (ms: number, work: () => void) => () => void;
}

export interface BenchLog {
  readonly store: StoreApi<LogState>;
  /** Looks at the log of a job until what it returns is called. */
  readonly open: (jobId: string) => () => void;
  /** Writes an entry down: shown at once, kept in the browser, sent when the server answers. */
  readonly write: (entry: LogEntry, photo?: Blob) => void;
  /** Lets go of an entry that the server would not take. */
  readonly leaveOut: (id: string) => void;
  /** Sends and asks now: the network may be back. */
  readonly hurry: () => void;
  /** Resolves once all that is under way has ended. */
  readonly idle: () => Promise<void>;
}

const blank: LogState = { jobId: null, known: [], waiting: [], away: false, unkept: false, refused: [] };

/** Whether the server said no for good; anything else is tried again. */
const isNo = (error: unknown): error is ApiError =>
  error instanceof ApiError && error.status >= 400 && error.status < 500 && ![408, 425, 429].includes(error.status);

/** Bench logs of this page: what is written is never lost for want of a network, and others’ entries come in. */
export const createBenchLog = ({ outbox, read, add, sendPhoto, after }: BenchLogHost): BenchLog => {
  const store = createStore<LogState>(() => blank);
  let cancel: () => void = () => undefined;
  let running: Promise<void> | null = null;
  let again = false;
  let retryMs = firstRetryMs;
  let openers = 0;
  let place = Date.now();
  let loaded = false;
  let keeping: Promise<unknown> = Promise.resolve();

  /** One after another, so that what is dropped was put before. */
  const keep = (work: () => Promise<unknown>): void => {
    keeping = keeping.then(work).catch(() => store.setState({ unkept: true }));
  };

  const gone = (ids: readonly string[]): void => {
    store.setState(({ waiting }) => ({ waiting: waiting.filter(({ entry }) => !ids.includes(entry.id)) }));
    for (const id of ids) keep(() => outbox.drop(id));
  };

  const hear = (jobId: string, entries: readonly LogEntryView[]): void => {
    if (store.getState().jobId !== jobId || entries.length === 0) return;
    const seqs = new Set(entries.map(({ seq }) => seq));
    const known = [...store.getState().known.filter(({ seq }) => !seqs.has(seq)), ...entries].sort(
      (a, b) => a.seq - b.seq,
    );
    store.setState({ known });
    keep(() => outbox.keep({ jobId, entries: known }));
  };

  const send = async (jobId: string, batch: readonly Waiting[]): Promise<void> => {
    try {
      for (const { entry, photo } of batch) if (photo !== null) await sendPhoto(jobId, entry.id, photo);
      const kept = await add(
        jobId,
        batch.map(({ entry }) => entry),
      );
      // What came in from others before it is asked for next; until then these stand beside what is known.
      const from = store.getState().known.at(-1)?.seq ?? 0;
      if (kept.every(({ seq }, at) => seq === from + 1 + at)) hear(jobId, kept);
      else await ask(jobId);
      gone(kept.map(({ id }) => id));
    } catch (error) {
      if (!isNo(error)) throw error;
      if (batch.length > 1) {
        for (const each of batch) await send(jobId, [each]);
        return;
      }
      const [{ entry }] = batch as readonly [Waiting];
      store.setState(({ refused }) => ({ refused: [...refused, { entry, why: error.message }] }));
      store.setState(({ waiting }) => ({ waiting: waiting.filter((each) => each.entry.id !== entry.id) }));
    }
  };

  const ask = async (jobId: string): Promise<void> => {
    for (;;) {
      const { jobId: now, known } = store.getState();
      if (now !== jobId) return;
      const { entries, after: next } = await read(jobId, known.at(-1)?.seq ?? 0);
      hear(jobId, entries);
      if (next === null) return;
    }
  };

  const turn = async (): Promise<void> => {
    if (!loaded) {
      loaded = true;
      try {
        const stored = await outbox.all();
        const here = new Set(store.getState().waiting.map(({ entry }) => entry.id));
        store.setState(({ waiting }) => ({
          waiting: [...stored.filter(({ entry }) => !here.has(entry.id)), ...waiting],
        }));
      } catch {
        store.setState({ unkept: true });
      }
    }
    for (;;) {
      const { waiting } = store.getState();
      const [first] = waiting;
      if (first === undefined) break;
      await send(first.jobId, waiting.filter(({ jobId }) => jobId === first.jobId).slice(0, sentAtOnce));
    }
    const { jobId } = store.getState();
    if (jobId !== null) await ask(jobId);
  };

  const soon = (ms: number): void => {
    cancel();
    cancel = after(ms, run);
  };

  const run = (): void => {
    if (running !== null) {
      again = true;
      return;
    }
    cancel();
    running = turn()
      .then(
        () => {
          retryMs = firstRetryMs;
          store.setState({ away: false });
          if (openers > 0) soon(askAgainMs);
        },
        (error: unknown) => {
          store.setState({ away: !isNo(error) });
          if (openers > 0 || store.getState().waiting.length > 0) soon(retryMs);
          retryMs = Math.min(longestRetryMs, retryMs * 2);
        },
      )
      .finally(() => {
        running = null;
        if (again) {
          again = false;
          run();
        }
      });
  };

  return {
    store,
    open: (jobId) => {
      openers += 1;
      if (store.getState().jobId !== jobId) {
        store.setState({ jobId, known: [] });
        void outbox
          .known(jobId)
          .then((entries) => hear(jobId, entries))
          .catch(() => undefined)
          .then(run);
      } else run();
      return () => {
        openers -= 1;
        if (openers === 0 && store.getState().waiting.length === 0) cancel();
      };
    },
    write: (entry, photo) => {
      const { jobId } = store.getState();
      if (jobId === null) return;
      place += 1;
      const waiting: Waiting = { jobId, entry, photo: photo ?? null, place };
      store.setState((state) => ({ waiting: [...state.waiting, waiting] }));
      keep(() => outbox.put(waiting));
      run();
    },
    leaveOut: (id) => {
      store.setState(({ refused }) => ({ refused: refused.filter(({ entry }) => entry.id !== id) }));
      keep(() => outbox.drop(id));
    },
    hurry: run,
    idle: async () => {
      while (running !== null) await running;
      await keeping;
    },
  };
};
