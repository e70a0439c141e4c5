import { benchStandingOf, type BenchStanding, type LogEntry } from '@vitrum/core';
import { useEffect, useMemo } from 'react';
import { create, useStore } from 'zustand';
import { persist } from 'zustand/middleware';
import { newId } from '../api/new-id';
import { addToLog, readLog, sendPhoto } from '../api/bench';
import { useDocument } from '../document/document-store';
import { createBenchLog } from './bench-log';
import { browserOutbox } from './outbox';

/** The bench log of this page. */
export const benchLog = createBenchLog({
  outbox: browserOutbox(),
  read: readLog,
  add: addToLog,
  sendPhoto,
  after: (ms, work) => {
    const timer = setTimeout(work, ms);
    return () => clearTimeout(timer);
  },
});
globalThis.window?.addEventListener('online', benchLog.hurry);

/** Who writes at this device. */
export const useWriter = create<{ readonly name: string }>()(persist(() => ({ name: '' }), { name: 'vitrum.writer' }));

const none: readonly string[] = [];

/** How the open job stands at the bench: what its log says, on top of what its design was ticked with. */
export const useBenchStanding = (jobId: string): BenchStanding => {
  useEffect(() => benchLog.open(jobId), [jobId]);
  const before = useDocument(({ design }) => design?.proof?.built ?? none);
  const known = useStore(benchLog.store, (state) => (state.jobId === jobId ? state.known : null));
  const waiting = useStore(benchLog.store, (state) => state.waiting);
  return useMemo(() => {
    const ids = new Set(known?.map(({ id }) => id));
    const own = waiting.filter((each) => each.jobId === jobId && !ids.has(each.entry.id)).map(({ entry }) => entry);
    return benchStandingOf([...(known ?? []), ...own], before);
  }, [known, waiting, before, jobId]);
};

type Told = Pick<LogEntry, 'what'> & Partial<Pick<LogEntry, 'stepId' | 'value' | 'words' | 'of'>>;

/** Writes something down of the open job, as of now and by whoever is at this device. */
export const writeDown = (told: Told, photo?: Blob): void =>
  benchLog.write(
    {
      stepId: null,
      value: null,
      words: '',
      of: null,
      ...told,
      id: newId(),
      by: useWriter.getState().name.trim(),
      at: new Date().toISOString(),
    },
    photo,
  );

/** Ticks a step of the build, or takes the tick away. */
export const tickStep = (stepId: string, done: boolean): void =>
  writeDown({ what: done ? 'done' : 'not-done', stepId });
