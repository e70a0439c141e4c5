import type { Catalogue, Design, Evaluation, Finding, Problem, SessionReply } from '@vitrum/core';
import { create } from 'zustand';
import type { LightClient } from '../workers/clients';

interface EvaluationState {
  /** The job that all of this is about. */
  readonly jobId: string | null;
  readonly evaluation: Evaluation | null;
  /** With fixes once they have been tried; `null` while they are. */
  readonly findings: readonly Finding[] | null;
  /** What keeps the design from being evaluated; the last good evaluation stays. */
  readonly problems: readonly Problem[];
  readonly crash: string | null;
}

const nothing = { evaluation: null, findings: null, problems: [], crash: null } as const;

export const useEvaluation = create<EvaluationState>(() => ({ jobId: null, ...nothing }));

/** What was found of another job is not shown on the page of this one. */
export const aboutJob = (jobId: string): void => {
  if (useEvaluation.getState().jobId !== jobId) useEvaluation.setState({ jobId, ...nothing });
};

const hear = (reply: SessionReply): void => {
  switch (reply.kind) {
    case 'evaluated':
      return useEvaluation.setState({ evaluation: reply.evaluation, findings: null, problems: [], crash: null });
    case 'fixes':
      return useEvaluation.setState({ findings: reply.findings });
    case 'refused':
      return useEvaluation.setState({ problems: reply.problems });
    case 'crashed':
      return useEvaluation.setState({ crash: reply.message });
    default:
      return undefined;
  }
};

/**
 * Lights designs in a thread. One is in flight at a time, and only the newest waits behind it, so that a drag never queues
 * up; answers to designs that are no longer the newest still show (they are at most one step behind).
 */
export const connectEvaluation = (client: LightClient) => {
  let callOff: () => void = () => undefined;
  let newest: { readonly jobId: string; readonly design: Design; readonly catalogue: Catalogue | null } | null = null;
  let opened: Catalogue | null = null;
  return {
    open: (catalogue: Catalogue): void => {
      opened = catalogue;
      client.setUp('catalogue', { kind: 'open', catalogue });
    },
    /** Lights a design of a job; what is being lit already, with the same catalogue, is not lit twice. */
    evaluate: (jobId: string, design: Design): void => {
      if (newest?.jobId === jobId && newest.design === design && newest.catalogue === opened) return;
      newest = { jobId, design, catalogue: opened };
      if (useEvaluation.getState().jobId !== jobId) callOff();
      aboutJob(jobId);
      callOff = client.ask({
        request: { kind: 'evaluate', design },
        lane: 'design',
        evenIfLate: true,
        hear,
        fail: (crash) => {
          newest = null;
          useEvaluation.setState({ crash });
        },
      });
    },
    /** Nothing more of what was asked is heard. */
    leave: (): void => {
      newest = null;
      callOff();
    },
  };
};
