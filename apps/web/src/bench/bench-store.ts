import {
  benchDesign,
  type BenchSetting,
  type Catalogue,
  type Design,
  type Evaluation,
  type SessionReply,
  type SessionRequest,
} from '@vitrum/core';
import { create } from 'zustand';

interface BenchState {
  /** Set while the bench drives the lit view. */
  readonly setting: BenchSetting | null;
  readonly switchedOn: boolean;
  /** The sign as set, once it is worked out. */
  readonly evaluation: Evaluation | null;
}

const asDesigned: BenchSetting = { segments: null, channel: null, level: 1, pixels: null };

export const useBench = create<BenchState>(() => ({ setting: null, switchedOn: true, evaluation: null }));

/** The part of a worker that is used; tests bring a stand-in. */
export interface BenchThread {
  postMessage: (request: SessionRequest) => void;
  onmessage: ((event: MessageEvent<SessionReply>) => void) | null;
}

/** Joins the bench’s controller to a thread that lights the sign as it is set. Only the newest setting counts. */
export const connectBench = (thread: BenchThread, catalogue: Catalogue) => {
  let id = 0;
  let busy = false;
  let waiting: Design | null = null;
  const next = (): void => {
    busy = waiting !== null;
    if (waiting === null) return;
    id += 1;
    thread.postMessage({ kind: 'evaluate', id, design: waiting });
    waiting = null;
  };
  thread.onmessage = ({ data }) => {
    if (data.id !== id || !['evaluated', 'refused', 'crashed'].includes(data.kind)) return;
    // Its fixes are of no account here.
    thread.postMessage({ kind: 'cancel', id });
    if (data.kind === 'evaluated' && useBench.getState().setting !== null)
      useBench.setState({ evaluation: data.evaluation });
    next();
  };
  thread.postMessage({ kind: 'open', id, catalogue });
  return {
    /** Sets the controller; what is left out stays as it was. */
    set: (evaluation: Evaluation, change: Partial<BenchSetting>): void => {
      const setting = { ...(useBench.getState().setting ?? asDesigned), ...change };
      useBench.setState({ setting });
      waiting = benchDesign(evaluation.design, evaluation.circuit.channels, evaluation.circuit.segments, setting);
      if (!busy) next();
    },
    switch: (switchedOn: boolean): void => useBench.setState({ switchedOn }),
    /** Gives the lit view back to the design. */
    leave: (): void => {
      waiting = null;
      useBench.setState({ setting: null, switchedOn: true, evaluation: null });
    },
  };
};

export type BenchLink = ReturnType<typeof connectBench>;
