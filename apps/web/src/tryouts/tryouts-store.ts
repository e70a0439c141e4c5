import type {
  Catalogue,
  Design,
  Evaluation,
  SessionReply,
  SessionRequest,
  Solution,
  SolveRoom,
  SweepAxes,
  TraceReport,
  TryPoint,
  Goal,
} from '@vitrum/core';
import type { SweepEvent } from '@vitrum/contract';
import { create } from 'zustand';
import { pointFromWire, serverSweeps, type Remote } from './remote';

/** What the try-outs thread is doing. */
export type Running =
  | {
      readonly kind: 'sweep';
      readonly id: number;
      readonly done: number;
      readonly of: number;
      /** Set when it runs on the server: its id there. */
      readonly onServer?: string;
    }
  | { readonly kind: 'solve'; readonly id: number; readonly done: number; readonly goal: Goal }
  | { readonly kind: 'trace'; readonly id: number; readonly done: number };

/** A variant put aside to be compared, evaluated. */
export interface Pinned {
  readonly key: number;
  readonly name: string;
  readonly design: Design;
  readonly evaluation: Evaluation | null;
}

interface TryoutsState {
  /** The job that all of this is about. */
  readonly jobId: string | null;
  readonly points: readonly TryPoint[];
  readonly solution: Solution | null;
  /** The latest of tracing, and the assembly of the design that it is of. */
  readonly trace: { readonly design: Design; readonly assembly: number; readonly report: TraceReport | null } | null;
  readonly running: Running | null;
  /** Why the last run ended before its end. */
  readonly ended: string | null;
  readonly pinned: readonly Pinned[];
}

const nothing: TryoutsState = {
  jobId: null,
  points: [],
  solution: null,
  trace: null,
  running: null,
  ended: null,
  pinned: [],
};

export const useTryouts = create<TryoutsState>(() => nothing);

/** Forgets everything. */
export const clearTryouts = (): void => useTryouts.setState(nothing);

/** The part of a worker that is used; tests bring a stand-in. */
export interface Thread {
  postMessage: (request: SessionRequest) => void;
  onmessage: ((event: MessageEvent<SessionReply>) => void) | null;
}

type WithoutId<T> = T extends unknown ? Omit<T, 'id'> : never;

export const mostPinned = 4;

/** Where a sweep on the server is remembered, so that a reloaded page takes it up again. */
const rememberedAs = (jobId: string): string => `vitrum.sweep.${jobId}`;

/** What the store uses of the browser’s storage. */
export type Memory = Pick<Storage, 'getItem' | 'setItem' | 'removeItem'>;

const endedWith = (ended: string | null): Partial<TryoutsState> => ({ running: null, ended });

/**
 * The page’s side of the try-outs thread: one run at a time, its points shown as they come; answers to runs that were
 * cancelled or replaced are not heard any more.
 */
export const connectTryouts = (thread: Thread, memory: Memory = localStorage, remote: Remote = serverSweeps) => {
  let nextId = 0;
  let unfollow = (): void => undefined;
  const send = (request: WithoutId<SessionRequest>): number => {
    const id = nextId++;
    thread.postMessage({ ...request, id });
    return id;
  };

  const isCurrent = (id: number): boolean => useTryouts.getState().running?.id === id;

  const hear = (reply: SessionReply): void => {
    if (reply.kind === 'evaluated') {
      useTryouts.setState(({ pinned }) => ({
        pinned: pinned.map((each) => (each.key === reply.id ? { ...each, evaluation: reply.evaluation } : each)),
      }));
      return;
    }
    if (!isCurrent(reply.id)) return;
    switch (reply.kind) {
      case 'tried':
        useTryouts.setState(({ points, running }) => ({
          points: [...points, ...reply.points],
          running: running === null ? null : { ...running, done: reply.done },
        }));
        return;
      case 'progress':
        useTryouts.setState(({ running }) => ({ running: running === null ? null : { ...running, done: reply.done } }));
        return;
      case 'swept':
        useTryouts.setState(endedWith(null));
        return;
      case 'solved':
        useTryouts.setState({ ...endedWith(null), solution: reply.solution });
        return;
      case 'tracing': {
        const { report, done } = reply;
        useTryouts.setState(({ trace, running }) => ({
          trace: trace === null ? null : { ...trace, report },
          running: done || running === null ? null : { ...running, done: report.photons },
        }));
        return;
      }
      case 'refused':
        useTryouts.setState(endedWith(reply.problems.map(({ message }) => message).join('; ')));
        return;
      case 'crashed':
        useTryouts.setState(endedWith(`the try-outs failed: ${reply.message}`));
        return;
      case 'chosen':
      case 'taken':
      case 'opened':
      case 'fixes':
      case 'packed':
      case 'cancelled':
        return;
    }
  };
  thread.onmessage = ({ data }) => hear(data);

  const cancel = (): void => {
    const { running } = useTryouts.getState();
    if (running === null) return;
    unfollow();
    if (running.kind === 'sweep' && running.onServer !== undefined) {
      const { onServer } = running;
      remote.stop(onServer).catch(() => undefined);
    } else thread.postMessage({ kind: 'cancel', id: running.id });
    useTryouts.setState(endedWith('Stopped; what was found stays.'));
  };

  /** Shows a sweep on the server as it goes; every event names all that came since the last. */
  const follow = (sweepId: string, of: number): void => {
    unfollow();
    const id = nextId++;
    useTryouts.setState({
      points: [],
      ended: null,
      running: { kind: 'sweep', id, done: 0, of, onServer: sweepId },
    });
    const hearEvent = ({ sweep, points }: SweepEvent): void => {
      if (!isCurrent(id)) return;
      useTryouts.setState((now) => ({
        points: points.length === 0 ? now.points : [...now.points, ...points.map(pointFromWire)],
        running: { kind: 'sweep', id, done: sweep.done, of: sweep.total, onServer: sweepId },
      }));
      if (sweep.status === 'queued' || sweep.status === 'running' || points.length > 0) return;
      unfollow();
      useTryouts.setState(
        endedWith(
          sweep.status === 'failed'
            ? `the server could not finish: ${sweep.error ?? ''}`
            : sweep.status === 'cancelled'
              ? 'Stopped; what was found stays.'
              : null,
        ),
      );
    };
    unfollow = remote.follow(sweepId, hearEvent);
  };

  return {
    open: (catalogue: Catalogue): void => void send({ kind: 'open', catalogue }),
    cancel,
    /** What was tried on a job stays while it is open; another job begins afresh. */
    about: (jobId: string): void => {
      if (useTryouts.getState().jobId === jobId) return;
      // A sweep on the server goes on without the page; only its line is cut.
      const { running } = useTryouts.getState();
      if (running?.kind === 'sweep' && running.onServer !== undefined) unfollow();
      else cancel();
      useTryouts.setState({ ...nothing, jobId });
      const left = memory.getItem(rememberedAs(jobId));
      if (left !== null) follow(left, 1);
    },
    sweep: (design: Design, plan: SweepAxes, size: number): void => {
      cancel();
      const { jobId } = useTryouts.getState();
      if (jobId !== null) memory.removeItem(rememberedAs(jobId));
      const id = send({ kind: 'sweep', design, plan });
      useTryouts.setState({ points: [], ended: null, running: { kind: 'sweep', id, done: 0, of: size } });
    },
    /** The same on the server: it goes on when the page is closed, and when the server is started again. */
    sweepOnServer: async (design: Design, plan: SweepAxes): Promise<void> => {
      cancel();
      const { jobId } = useTryouts.getState();
      try {
        const sweep = await remote.start(design, plan);
        if (jobId !== null) memory.setItem(rememberedAs(jobId), sweep.id);
        follow(sweep.id, sweep.total);
      } catch (error) {
        useTryouts.setState(endedWith(error instanceof Error ? error.message : String(error)));
      }
    },
    solve: (design: Design, goal: Goal, room: SolveRoom): void => {
      cancel();
      const id = send({ kind: 'solve', design, goal, room });
      useTryouts.setState({ solution: null, ended: null, running: { kind: 'solve', id, done: 0, goal } });
    },
    trace: (design: Design, assembly: number): void => {
      cancel();
      const id = send({ kind: 'trace', design, assembly });
      useTryouts.setState({
        trace: { design, assembly, report: null },
        ended: null,
        running: { kind: 'trace', id, done: 0 },
      });
    },
    /** Puts a variant aside; its full evaluation follows. */
    pin: (name: string, design: Design): void => {
      if (useTryouts.getState().pinned.length >= mostPinned) return;
      const key = send({ kind: 'evaluate', design });
      useTryouts.setState(({ pinned }) => ({ pinned: [...pinned, { key, name, design, evaluation: null }] }));
    },
    unpin: (key: number): void =>
      useTryouts.setState(({ pinned }) => ({ pinned: pinned.filter((each) => each.key !== key) })),
  };
};

export type TryoutsLink = ReturnType<typeof connectTryouts>;
