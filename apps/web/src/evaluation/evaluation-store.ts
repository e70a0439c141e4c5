import type { Catalogue, Design, Evaluation, Finding, Problem, SessionReply, SessionRequest } from '@vitrum/core';
import { create } from 'zustand';

interface EvaluationState {
  readonly evaluation: Evaluation | null;
  /** With fixes once they have been tried; `null` while they are. */
  readonly findings: readonly Finding[] | null;
  /** What keeps the design from being evaluated; the last good evaluation stays. */
  readonly problems: readonly Problem[];
  readonly crash: string | null;
}

export const useEvaluation = create<EvaluationState>(() => ({
  evaluation: null,
  findings: null,
  problems: [],
  crash: null,
}));

/** The part of a worker that is used; tests bring a stand-in. */
export interface Thread {
  postMessage: (request: SessionRequest) => void;
  onmessage: ((event: MessageEvent<SessionReply>) => void) | null;
}

type DistributiveOmit<T, K extends PropertyKey> = T extends unknown ? Omit<T, K> : never;

/**
 * The page’s side of the protocol. One design is in flight at a time, and only the newest waits behind it, so that a drag
 * never queues up; answers to designs that are no longer the newest still show (they are at most one step behind).
 */
export const connectEvaluation = (thread: Thread) => {
  let nextId = 0;
  let inFlight: number | null = null;
  let waiting: Design | null = null;

  const send = (request: DistributiveOmit<SessionRequest, 'id'>): number => {
    const id = nextId++;
    thread.postMessage({ ...request, id });
    return id;
  };

  const next = (): void => {
    inFlight = null;
    if (waiting === null) return;
    inFlight = send({ kind: 'evaluate', design: waiting });
    waiting = null;
  };

  const receive = (reply: SessionReply): void => {
    switch (reply.kind) {
      case 'evaluated':
        useEvaluation.setState({ evaluation: reply.evaluation, findings: null, problems: [], crash: null });
        if (reply.id === inFlight) next();
        return;
      case 'fixes':
        if (inFlight === null) useEvaluation.setState({ findings: reply.findings });
        return;
      case 'refused':
        useEvaluation.setState({ problems: reply.problems });
        if (reply.id === inFlight) next();
        return;
      case 'crashed':
        useEvaluation.setState({ crash: reply.message });
        if (reply.id === inFlight) next();
        return;
      case 'cancelled':
        if (reply.id === inFlight) next();
        return;
      // Files, sweeps and solving have threads of their own.
      case 'packed':
      case 'tried':
      case 'swept':
      case 'solved':
      case 'chosen':
      case 'tracing':
      case 'taken':
      case 'opened':
      case 'progress':
        return;
    }
  };

  thread.onmessage = ({ data }) => receive(data);

  return {
    open: (catalogue: Catalogue): void => void send({ kind: 'open', catalogue }),
    evaluate: (design: Design): void => {
      waiting = design;
      if (inFlight === null) next();
    },
  };
};

export type EvaluationLink = ReturnType<typeof connectEvaluation>;
