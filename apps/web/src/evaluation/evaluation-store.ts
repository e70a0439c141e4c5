import type { Catalogue, Design, Evaluation, Finding, Problem, SessionReply } from '@vitrum/core';
import { create } from 'zustand';
import type { LightClient } from '../workers/clients';

interface EvaluationState {
  /** The job that all of this is about. */
  readonly jobId: string | null;
  readonly evaluation: Evaluation | null;
  /** Whether a newer design is being lit. */
  readonly isBehind: boolean;
  /** Of the findings of this evaluation those whose fixes have been tried, by their ids. */
  readonly tried: Readonly<Record<string, Finding>>;
  /** What keeps the design from being evaluated; the last good evaluation stays. */
  readonly problems: readonly Problem[];
  readonly crash: string | null;
}

const nothing = { evaluation: null, tried: {}, problems: [], crash: null } as const;

export const useEvaluation = create<EvaluationState>(() => ({ jobId: null, isBehind: false, ...nothing }));

/** What was found of another job is not shown on the page of this one. */
export const aboutJob = (jobId: string): void => {
  if (useEvaluation.getState().jobId !== jobId) useEvaluation.setState({ jobId, ...nothing });
};

const hear = (reply: SessionReply, isNewest: boolean): void => {
  if (isNewest) useEvaluation.setState({ isBehind: false });
  switch (reply.kind) {
    case 'evaluated':
      return useEvaluation.setState({ evaluation: reply.evaluation, tried: {}, problems: [], crash: null });
    case 'refused':
      return useEvaluation.setState({ problems: reply.problems });
    case 'crashed':
      return useEvaluation.setState({ crash: reply.message });
    default:
      return undefined;
  }
};

/** Tries the fixes of findings of the evaluation that is shown; one list at a time, and what is heard late is not shown. */
const fixing = (client: LightClient) => {
  let callOff: () => void = () => undefined;
  let underWay: { readonly of: Evaluation; readonly findings: Set<string> } | null = null;
  const leave = (): void => {
    callOff();
    underWay = null;
  };
  return {
    leave,
    /** Tries these and no others; what is being tried already goes on. */
    fix: (of: Evaluation, findings: readonly string[]): void => {
      const known = underWay?.of === of ? underWay.findings : null;
      if (known?.size === findings.length && findings.every((id) => known.has(id))) return;
      leave();
      if (findings.length === 0) return;
      const own = { of, findings: new Set(findings) };
      underWay = own;
      callOff = client.ask({
        request: { kind: 'fixes', design: of.design, findings },
        hear: (reply) => {
          if (useEvaluation.getState().evaluation !== of) return;
          if (reply.kind === 'crashed') useEvaluation.setState({ crash: reply.message });
          if (reply.kind !== 'fixes') return;
          const { finding } = reply;
          // First, for who hears of it asks for what is left.
          own.findings.delete(finding.id);
          useEvaluation.setState(({ tried }) => ({ tried: { ...tried, [finding.id]: finding } }));
        },
        fail: (crash) => {
          underWay = null;
          useEvaluation.setState({ crash });
        },
      });
    },
  };
};

/**
 * Lights designs in a thread. One is in flight at a time, and only the newest waits behind it, so that a drag never queues
 * up; answers to designs that are no longer the newest still show (they are at most one step behind).
 */
export const connectEvaluation = (client: LightClient) => {
  let callOff: () => void = () => undefined;
  let newest: { readonly jobId: string; readonly design: Design; readonly catalogue: Catalogue | null } | null = null;
  let opened: Catalogue | null = null;
  const { fix, leave } = fixing(client);
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
      useEvaluation.setState({ isBehind: true });
      const own = newest;
      callOff = client.ask({
        request: { kind: 'evaluate', design },
        lane: 'design',
        evenIfLate: true,
        hear: (reply) => hear(reply, newest === own),
        fail: (crash) => {
          newest = null;
          useEvaluation.setState({ crash, isBehind: false });
        },
      });
    },
    /** Tries what would help against findings, by their ids: those alone, in this order. */
    fix,
    /** Nothing more of what was asked is heard. */
    leave: (): void => {
      newest = null;
      callOff();
      leave();
      useEvaluation.setState({ isBehind: false });
    },
  };
};
