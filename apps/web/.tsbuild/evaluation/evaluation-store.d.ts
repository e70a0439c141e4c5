import type { Catalogue, Design, Evaluation, Finding, Problem, SessionReply, SessionRequest } from '@vitrum/core';
interface EvaluationState {
  readonly evaluation: Evaluation | null;
  /** With fixes once they have been tried; `null` while they are. */
  readonly findings: readonly Finding[] | null;
  /** What keeps the design from being evaluated; the last good evaluation stays. */
  readonly problems: readonly Problem[];
  readonly crash: string | null;
}
export declare const useEvaluation: import('zustand').UseBoundStore<import('zustand').StoreApi<EvaluationState>>;
/** The part of a worker that is used; tests bring a stand-in. */
export interface Thread {
  postMessage: (request: SessionRequest) => void;
  onmessage: ((event: MessageEvent<SessionReply>) => void) | null;
}
/**
 * The page’s side of the protocol. One design is in flight at a time, and only the newest waits behind it, so that a drag
 * never queues up; answers to designs that are no longer the newest still show (they are at most one step behind).
 */
export declare const connectEvaluation: (thread: Thread) => {
  open: (catalogue: Catalogue) => void;
  evaluate: (design: Design) => void;
  pack: (design: Design) => Promise<Uint8Array>;
};
export type EvaluationLink = ReturnType<typeof connectEvaluation>;
export {};
