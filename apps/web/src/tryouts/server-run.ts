import type { SweepEvent } from '@vitrum/contract';
import type { Design, SweepAxes } from '@vitrum/core';
import { pointFromWire, type Remote } from './remote';
import { addPoints, beginRun, endRun, stoppedWords, useTryouts } from './tryouts-store';

/** What is used of the browser’s storage. */
export type Memory = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

/** Where a sweep on the server is remembered, so that a reloaded page takes it up again. */
const rememberedAs = (jobId: string): string => `vitrum.sweep.${jobId}`;

/** Why a sweep ended, in words; null when it came to its end. */
const endingOf = ({ status, error }: SweepEvent['sweep']): string | null => {
  if (status === 'failed') return `the server could not finish: ${error ?? ''}`;
  return status === 'cancelled' ? stoppedWords : null;
};

/** Sweeps that run on the server: they go on when the page is closed, and when the server is started again. */
export const serverRun = (memory: Memory, remote: Remote) => {
  let unfollow = (): void => undefined;

  /** Shows a sweep as it goes; every event names all that came since the last. */
  const follow = (onServer: string, of: number): void => {
    unfollow();
    beginRun({ kind: 'sweep', done: 0, of, onServer }, { points: [] });
    const hear = ({ sweep, points }: SweepEvent): void => {
      addPoints(points.map(pointFromWire));
      useTryouts.setState({ running: { kind: 'sweep', done: sweep.done, of: sweep.total, onServer } });
      if (sweep.status === 'queued' || sweep.status === 'running' || points.length > 0) return;
      unfollow();
      endRun(endingOf(sweep));
    };
    unfollow = remote.follow(onServer, hear);
  };

  return {
    start: async (design: Design, plan: SweepAxes): Promise<void> => {
      const { jobId } = useTryouts.getState();
      try {
        const sweep = await remote.start(design, plan);
        if (jobId !== null) memory.setItem(rememberedAs(jobId), sweep.id);
        follow(sweep.id, sweep.total);
      } catch (error) {
        endRun(error instanceof Error ? error.message : String(error));
      }
    },
    /** Takes up the sweep that an earlier visit to the job left running, if any. */
    takeUp: (jobId: string): void => {
      const left = memory.getItem(rememberedAs(jobId));
      if (left !== null) follow(left, 1);
    },
    forget: (jobId: string): void => memory.removeItem(rememberedAs(jobId)),
    /** Cuts the line; the sweep goes on. */
    leave: (): void => unfollow(),
    stop: (onServer: string): void => {
      unfollow();
      remote.stop(onServer).catch(() => undefined);
    },
  };
};
