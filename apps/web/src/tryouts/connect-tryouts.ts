import type { Catalogue, Design, Goal, SolveRoom, SweepAxes } from '@vitrum/core';
import type { LightClient } from '../workers/clients';
import { localRuns } from './local-runs';
import { serverSweeps, type Remote } from './remote';
import { serverRun, type Memory } from './server-run';
import { pinning } from './pinning';
import { clearTryouts, endRun, stoppedWords, useTryouts } from './tryouts-store';

/** The page’s side of try-outs: one run at a time, its points shown as they come. */
export const connectTryouts = (client: LightClient, memory: Memory, remote: Remote = serverSweeps) => {
  const local = localRuns(client);
  const onServer = serverRun(memory, remote);
  let callOff = (): void => undefined;

  const cancel = (): void => {
    const { running } = useTryouts.getState();
    if (running === null) return;
    if (running.kind === 'sweep' && running.onServer !== undefined) onServer.stop(running.onServer);
    else callOff();
    endRun(stoppedWords);
  };

  /** Leaves the run under way: one in the page ends, one on the server goes on without it. */
  const leave = (): void => {
    const { running } = useTryouts.getState();
    if (running?.kind === 'sweep' && running.onServer !== undefined) onServer.leave();
    else cancel();
  };

  return {
    open: (catalogue: Catalogue): void => client.setUp('catalogue', { kind: 'open', catalogue }),
    cancel,
    /** What was tried on a job stays while it is open; another job begins afresh. */
    about: (jobId: string): void => {
      if (useTryouts.getState().jobId === jobId) return;
      leave();
      clearTryouts(jobId);
      onServer.takeUp(jobId);
    },
    sweep: (design: Design, plan: SweepAxes, size: number): void => {
      cancel();
      const { jobId } = useTryouts.getState();
      if (jobId !== null) onServer.forget(jobId);
      callOff = local.sweep(design, plan, size);
    },
    /** The first chart of a job whose try-outs are opened; not when something was tried, is being tried or was stopped. */
    sweepAsOpened: (design: Design, plan: SweepAxes, size: number): void => {
      const { points, running, ended, solution } = useTryouts.getState();
      if (points.length > 0 || running !== null || ended !== null || solution !== null) return;
      callOff = local.sweep(design, plan, size, true);
    },
    sweepOnServer: async (design: Design, plan: SweepAxes): Promise<void> => {
      cancel();
      await onServer.start(design, plan);
    },
    solve: (design: Design, goal: Goal, room: SolveRoom): void => {
      cancel();
      callOff = local.solve(design, goal, room);
    },
    trace: (design: Design, assembly: number): void => {
      cancel();
      callOff = local.trace(design, assembly);
    },
    ...pinning(client),
  };
};

export type TryoutsLink = ReturnType<typeof connectTryouts>;
