import type { Design, Evaluation, Goal, Solution, TraceReport, TryPoint } from '@vitrum/core';
import { create } from 'zustand';

/** What the try-outs thread is doing. */
export type Running =
  | {
      readonly kind: 'sweep';
      readonly done: number;
      readonly of: number;
      /** Set when it runs on the server: its id there. */
      readonly onServer?: string;
      /** Begun by the page itself when it was opened; whatever is asked for takes its place. */
      readonly asOpened?: boolean;
    }
  | { readonly kind: 'solve'; readonly done: number; readonly goal: Goal }
  | { readonly kind: 'trace'; readonly done: number };

/** A variant put aside to be compared, evaluated. */
export interface Pinned {
  readonly key: number;
  readonly name: string;
  readonly design: Design;
  readonly evaluation: Evaluation | null;
  /** It cannot be evaluated. */
  readonly failed: boolean;
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

/** Forgets everything, for another job. */
export const clearTryouts = (jobId: string | null = null): void => useTryouts.setState({ ...nothing, jobId });

/** The run is over; why, if before its end. */
export const endRun = (ended: string | null): void => useTryouts.setState({ running: null, ended });

/** How far the run under way has come. */
export const progressTo = (done: number): void =>
  useTryouts.setState(({ running }) => ({ running: running === null ? null : { ...running, done } }));

export const addPoints = (found: readonly TryPoint[]): void => {
  if (found.length > 0) useTryouts.setState(({ points }) => ({ points: [...points, ...found] }));
};

/** A fresh run: what the last one said is gone. */
export const beginRun = (running: Running, rest: Partial<Pick<TryoutsState, 'points' | 'solution' | 'trace'>>): void =>
  useTryouts.setState({ ...rest, running, ended: null });

export const stoppedWords = 'Stopped; what was found stays.';
